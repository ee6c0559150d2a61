/** Piece by piece: each board, baluster or sash looked at by itself; what stays, what goes, what is split, with counts. */
import { useState } from 'react';
import { View } from 'react-native';
import { BLANK_BOARD, say, YES_NO, type Board, type BoardDraft, type Problem, type Surface } from '@roughsill/core';
import { TRIAGE, triage, triageOf } from '@roughsill/core/trial';
import { Button, NumberField, Panel, Pick, Problems, TextField, Toggle, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { add, commit, remove, set, useAppDispatch, type Draft } from '../../store';
import { cap } from '../../kit/text';

const YES_NO_OPTIONS = YES_NO.map((value) => ({ value, label: value === 'unknown' ? 'not known' : value }));

export function BoardsPanel({ jobId, surface }: { readonly jobId: string; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const [editing, setEditing] = useState<Board | 'new' | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { pieces, counts, unseen } = triageOf(surface);
  const write = (draft: Draft, what: string) => {
    const found = dispatch(commit(jobId, [draft], what));
    setProblems(found);
    return found.length === 0;
  };
  const next = String(Math.max(0, ...pieces.map((p) => Number(p.board.label)).filter(Number.isFinite)) + 1);
  const told = TRIAGE.filter((t) => counts[t] > 0).map((t) => `${counts[t]} ${say(t)}`);
  return (
    <Panel title="Piece by piece" aside={told.length > 0 ? told.join(', ') : 'none looked at'} testID="boards">
      {unseen ? <Words look="note">{`${unseen} not looked at yet.`}</Words> : null}
      <View className="gap-1">
        {pieces.map(({ board, says }) => (
          <View key={board.id} className="gap-1">
            <View className="flex-row gap-1">
              <View className="min-w-0 flex-1">
                <AnswerRow
                  label={`${board.label}   ${coatsText(board)}`}
                  note={board.note || undefined}
                  value={say(says.value)}
                  of={`piece ${board.label}`}
                  because={says.because}
                />
              </View>
              <Button label="Edit" says={`Put piece ${board.label} right`} onPress={() => setEditing(board)} className="self-start" />
            </View>
            {editing !== null && editing !== 'new' && editing.id === board.id ? (
              <BoardForm
                start={board}
                onSave={(fields) => write(set('board', board.id, fields, surface.id), `piece ${board.label}`) && setEditing(null)}
                onLeave={() => setEditing(null)}
                onRemove={() => write(remove('board', board.id, surface.id), `piece ${board.label} removed`) && setEditing(null)}
              />
            ) : null}
          </View>
        ))}
      </View>
      <Problems problems={problems} />
      {editing === 'new' ? (
        <BoardForm
          start={{ ...BLANK_BOARD, label: next }}
          onSave={(fields) => write(add('board', fields, surface.id), `piece ${fields.label}`) && setEditing('new')}
          onLeave={() => setEditing(null)}
          key={next}
        />
      ) : (
        <Button
          label={pieces.length === 0 ? 'Look at them one by one' : 'The next piece'}
          testID="add-board"
          onPress={() => setEditing('new')}
        />
      )}
    </Panel>
  );
}

function coatsText(b: Board): string {
  if (b.coats === null) return 'coats not counted';
  if (b.coats === 0) return 'no coat left';
  return `${b.soundCoats ?? 0} of ${b.coats} ${b.coats === 1 ? 'coat holds' : 'coats hold'}`;
}

interface BoardFormProps {
  readonly start: BoardDraft;
  readonly onSave: (fields: BoardDraft) => void;
  readonly onLeave: () => void;
  readonly onRemove?: () => void;
}

function BoardForm({ start, onSave, onLeave, onRemove }: BoardFormProps) {
  const { label, oilSoaked, rotten, coats, soundCoats, mixed, note } = start;
  const [b, setB] = useState<BoardDraft>({ label, oilSoaked, rotten, coats, soundCoats, mixed, note });
  const put = (over: Partial<BoardDraft>) => setB({ ...b, ...over });
  const says = triage({ ...b, id: 'draft', removedAt: null });
  return (
    <View className="gap-3 bg-panel p-3" testID="board-form">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[6rem] flex-1">
          <TextField
            label="Its number"
            value={b.label}
            onChange={(v) => put({ label: v })}
            onCommit={(v) => put({ label: v })}
            testID="board-label"
          />
        </View>
        <View className="min-w-[9rem] flex-1">
          <NumberField
            label="Coats left on it"
            value={b.coats}
            step={1}
            optional
            decimals={0}
            onCommit={(v) => put({ coats: v })}
            testID="board-coats"
          />
        </View>
        <View className="min-w-[9rem] flex-1">
          <NumberField
            label="Of them hold"
            value={b.soundCoats}
            step={1}
            optional
            decimals={0}
            onCommit={(v) => put({ soundCoats: v })}
            testID="board-sound"
          />
        </View>
      </View>
      <Pick
        label="Soaked with oil"
        value={b.oilSoaked}
        options={YES_NO_OPTIONS}
        onChange={(v) => put({ oilSoaked: v })}
        testID="board-oil"
      />
      <Pick label="Rotten" value={b.rotten} options={YES_NO_OPTIONS} onChange={(v) => put({ rotten: v })} />
      <Toggle label="One end sound, the other not" value={b.mixed} onChange={(v) => put({ mixed: v })} />
      <TextField label="Note" value={b.note} onChange={(v) => put({ note: v })} onCommit={(v) => put({ note: v })} />
      <Words look="strong">{cap(say(says.value))}</Words>
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Record it" onPress={() => onSave(b)} testID="save-board" />
        <Button label="Done" onPress={onLeave} />
        {onRemove ? <Button look="quiet" label="Remove" onPress={onRemove} /> : null}
      </View>
    </View>
  );
}
