/** Records one reading. Nothing is written until it is whole; a problem stands beside its field. */
import { useState } from 'react';
import { View } from 'react-native';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import {
  coatSays,
  BLANK_LAYER,
  DECIDERS,
  FINDINGS,
  KIT_CONTROLS,
  LAB_UNITS,
  liveLayers,
  say,
  saysSomething,
  SPOT_RESULTS,
  standingReadings,
  type LabUnit,
  type Reading,
  type Surface,
  spell,
} from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Problems, Select, TextField, Ticks, Toggle, useWhen, Words } from '../../kit';
import { add, commit, useAppDispatch, useSettings } from '../../store';

const UNIT_WORDS: Record<LabUnit, string> = { 'mass%': '% by mass', ppm: 'ppm', 'mg/cm2': 'mg/cm²' };

const Form = z
  .object({
    depth: z.enum(['face', 'all']),
    spot: z.enum(SPOT_RESULTS).nullable(),
    changed: z.array(z.string()),
    kitRecognised: z.boolean(),
    control: z.enum(KIT_CONTROLS),
    minutes: z.number().nullable(),
    lot: z.string(),
    below: z.boolean(),
    device: z.string(),
    decidedBy: z.enum(DECIDERS),
    certificate: z.string(),
    finding: z.enum(FINDINGS).nullable(),
    file: z.string(),
    value: z.number().min(0, 'a result cannot be negative').nullable(),
    unit: z.enum(['', ...LAB_UNITS]),
    bandLow: z.number().nullable(),
    bandHigh: z.number().nullable(),
    note: z.string(),
    replaces: z.string(),
    why: z.string(),
  })
  .superRefine((f, ctx) => {
    const need = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (f.value !== null && f.unit === '') need('unit', 'State the unit: %, ppm or mg/cm².');
    if (f.replaces !== '' && !saysSomething(f.why)) need('why', 'Say in a word or two why it replaces the earlier reading.');
  });
type Form = z.infer<typeof Form>;

interface ReadingFormProps {
  readonly jobId: string;
  readonly rules: 'us' | 'uk';
  readonly surface: Surface;
  readonly kind: 'spot' | 'lab' | 'xrf' | 'report';
  /** The waiting sample that this result answers. */
  readonly answers?: Reading;
  readonly onDone: () => void;
}

const TITLES = { spot: 'A swab', lab: 'A chip for the lab', xrf: 'An XRF reading', report: 'A signed inspection report' } as const;

export function ReadingForm({ jobId, rules, surface, kind, answers, onDone }: ReadingFormProps) {
  const dispatch = useAppDispatch();
  const when = useWhen();
  const { recognisedKit } = useSettings();
  const coats = liveLayers(surface);
  const standing = standingReadings(surface);
  const form = useForm<Form>({
    resolver: zodResolver(Form),
    defaultValues: {
      depth: kind === 'spot' && !answers ? 'face' : 'all',
      spot: null,
      changed: [],
      kitRecognised: recognisedKit,
      control: 'unsaid',
      minutes: null,
      lot: '',
      below: false,
      device: '',
      decidedBy: kind === 'report' ? 'inspector' : 'unsaid',
      certificate: '',
      finding: null,
      file: '',
      value: null,
      unit: kind === 'xrf' ? 'mg/cm2' : '',
      bandLow: null,
      bandHigh: null,
      note: '',
      replaces: answers?.id ?? '',
      why: answers ? 'The lab has answered.' : '',
    },
  });
  const {
    control,
    handleSubmit,
    setError,
    clearErrors,
    formState: { errors },
  } = form;
  /** What is seldom said is asked for behind a tap. */
  const [more, setMore] = useState(false);
  const [depth, spot, replaces] = useWatch({ control, name: ['depth', 'spot', 'replaces'] });

  const save = handleSubmit((f) => {
    if (kind === 'spot' && f.spot === null) return setError('spot', { message: 'Say what the swab did.' });
    if (kind === 'report' && f.finding === null) return setError('finding', { message: 'Say what the report determines.' });
    if (kind === 'report' && f.certificate.trim() === '')
      return setError('certificate', { message: 'A report is signed: enter the certificate.' });
    if (kind === 'xrf' && f.value === null) return setError('value', { message: 'An XRF reading needs its value.' });
    if (kind === 'spot' && f.depth === 'face' && coats.length === 0)
      return setError('depth', { message: 'Record the top coat first, so that the swab has a coat to speak of.' });
    const whole = kind === 'xrf' || kind === 'report';
    const measured = kind === 'lab' || kind === 'xrf';
    const reachedLayerIds = answers ? answers.reachedLayerIds : (f.depth === 'face' ? coats.slice(0, 1) : coats).map((c) => c.id);
    const fields = {
      kind,
      takenAt: new Date().toISOString(),
      reachedLayerIds,
      toSubstrate: answers?.toSubstrate ?? (whole || f.depth === 'all'),
      spot: kind === 'spot' ? f.spot : null,
      changedLayerIds: kind === 'spot' && f.spot === 'changed' ? f.changed.filter((id) => reachedLayerIds.includes(id)) : [],
      kitRecognised: kind === 'spot' && f.kitRecognised,
      control: kind === 'spot' ? f.control : 'unsaid',
      minutes: kind === 'spot' ? f.minutes : null,
      lot: kind === 'spot' ? f.lot.trim() : '',
      value: measured ? f.value : null,
      unit: !measured || f.value === null ? null : f.unit || null,
      below: kind === 'lab' && f.value !== null && f.below,
      device: kind === 'xrf' ? f.device.trim() : '',
      decidedBy: whole ? f.decidedBy : 'unsaid',
      certificate: whole ? f.certificate.trim() : '',
      finding: kind === 'report' ? f.finding : null,
      file: kind === 'report' ? f.file.trim() : '',
      bandLow: kind === 'xrf' ? f.bandLow : null,
      bandHigh: kind === 'xrf' ? f.bandHigh : null,
      note: f.note,
      supersedesId: f.replaces || null,
      supersedesWhy: f.replaces ? f.why.trim() : null,
    };
    const problems = dispatch(commit(jobId, [add('reading', fields, surface.id)], null));
    if (problems.length === 0) return onDone();
    for (const p of problems) {
      const field = p.path.split('.').at(-1) ?? '';
      setError((field in f ? field : 'root') as 'root', { message: p.message });
    }
  });

  const words = (field: 'lot' | 'device' | 'certificate' | 'file', label: string) => (
    <View className="min-w-[10rem] flex-1">
      <Controller
        control={control}
        name={field}
        render={({ field: f }) => (
          <TextField
            label={label}
            value={f.value}
            problem={errors[field]?.message}
            onChange={f.onChange}
            onCommit={f.onChange}
            testID={`reading-${field}`}
          />
        )}
      />
    </View>
  );
  const number = (field: 'value' | 'bandLow' | 'bandHigh' | 'minutes', label: string, hint?: string) => (
    <View className="min-w-[10rem] flex-1">
      <Controller
        control={control}
        name={field}
        render={({ field: f }) => (
          <NumberField
            label={label}
            value={f.value}
            optional
            decimals={4}
            hint={hint}
            problem={errors[field]?.message}
            testID={`reading-${field}`}
            onCommit={f.onChange}
          />
        )}
      />
    </View>
  );

  return (
    <Panel title={answers ? 'The lab’s answer' : TITLES[kind]} testID="reading-form">
      {kind === 'xrf' || kind === 'report' || answers ? null : (
        <Controller
          control={control}
          name="depth"
          render={({ field }) => (
            <Pick
              label="How deep"
              value={field.value}
              options={[
                { value: 'face', label: 'the face only' },
                { value: 'all', label: 'a notch through all coats' },
              ]}
              onChange={field.onChange}
              testID="depth"
            />
          )}
        />
      )}
      {errors.depth ? (
        <View className="gap-2">
          <Words alert look="strong" tone="oxide">
            {errors.depth.message}
          </Words>
          <Button
            label="Add an unknown top coat"
            testID="add-unknown-coat"
            onPress={() => {
              dispatch(
                commit(
                  jobId,
                  [add('layer', { ...BLANK_LAYER, position: 0, binder: 'unknown' }, surface.id)],
                  `${surface.name}: unknown top coat added`,
                ),
              );
              clearErrors('depth');
            }}
          />
        </View>
      ) : null}
      {depth === 'face' && kind === 'spot' ? (
        <Words look="note">The face says nothing of the coats below: unchanged here clears the top coat at most.</Words>
      ) : null}
      {depth === 'all' && !surface.coatsCounted && (kind === 'spot' || kind === 'lab') ? (
        <Words look="note">
          Not all coats are counted yet. The cut is a good moment to count them: one that is added later is not cleared by this test.
        </Words>
      ) : null}
      {kind === 'spot' ? (
        <>
          <Controller
            control={control}
            name="spot"
            render={({ field }) => (
              <Pick
                label="The swab"
                value={field.value}
                options={SPOT_RESULTS.map((value) => ({ value, label: say(value) }))}
                onChange={field.onChange}
                testID="swab"
              />
            )}
          />
          {errors.spot ? (
            <Words alert look="strong" tone="oxide">
              {errors.spot.message}
            </Words>
          ) : null}
          {depth === 'all' && spot === 'changed' && coats.length > 1 ? (
            <Controller
              control={control}
              name="changed"
              render={({ field }) => (
                <Ticks
                  label="Which coats changed, if you could tell"
                  values={field.value}
                  options={coats.map((c, i) => ({ value: c.id, label: `${i + 1} ${coatSays(c)}` }))}
                  onChange={field.onChange}
                />
              )}
            />
          ) : null}
          {rules === 'us' ? (
            <Controller
              control={control}
              name="kitRecognised"
              render={({ field }) => (
                <Toggle
                  label={spell('The kit is a recognised one')}
                  hint={spell('Only a recognised kit, used as its sheet says, can clear a coat')}
                  value={field.value}
                  onChange={field.onChange}
                />
              )}
            />
          ) : null}
          <Controller
            control={control}
            name="control"
            render={({ field }) => (
              <Pick
                label="The kit’s own control, afterwards"
                value={field.value}
                options={KIT_CONTROLS.map((value) => ({ value, label: say(value) }))}
                onChange={field.onChange}
                testID="control"
              />
            )}
          />
          {spot === 'unchanged' ? (
            <Words look="note">Unchanged proves nothing until the control has shown that the swab was alive.</Words>
          ) : null}
          {more ? (
            <View className="flex-row flex-wrap gap-3">
              {number('minutes', 'Minutes waited')}
              {words('lot', 'Lot of the kit')}
            </View>
          ) : null}
        </>
      ) : kind === 'report' ? (
        <>
          <Words look="note">
            A certified inspector’s determination of this piece, with all its coats. Write who signed it, and when, below.
          </Words>
          <Controller
            control={control}
            name="finding"
            render={({ field }) => (
              <Pick
                label="It determines"
                value={field.value}
                options={FINDINGS.map((value) => ({ value, label: say(value) }))}
                onChange={field.onChange}
                testID="finding"
              />
            )}
          />
          {errors.finding ? (
            <Words alert look="strong" tone="oxide">
              {errors.finding.message}
            </Words>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            {words('certificate', 'Its certificate')}
            {words('file', 'Its file')}
          </View>
        </>
      ) : (
        <View className="flex-row flex-wrap gap-3">
          {number('value', 'Result', kind === 'lab' && !answers ? 'Leave empty while the lab has it' : undefined)}
          {kind === 'lab' ? (
            <View className="min-w-[10rem] flex-1">
              <Controller
                control={control}
                name="unit"
                render={({ field }) => (
                  <Select
                    label="Unit"
                    value={field.value}
                    problem={errors.unit?.message}
                    options={[{ value: '', label: 'state the unit' }, ...LAB_UNITS.map((value) => ({ value, label: UNIT_WORDS[value] }))]}
                    onChange={field.onChange}
                    testID="reading-unit"
                  />
                )}
              />
            </View>
          ) : (
            <Words look="note" className="min-w-[6rem] self-center">
              mg/cm²
            </Words>
          )}
        </View>
      )}
      {kind === 'lab' ? (
        <Controller
          control={control}
          name="below"
          render={({ field }) => (
            <Toggle
              label="Less than this: the lab wrote <"
              hint="Below what it could see is not none"
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
      {kind === 'xrf' ? (
        <>
          <View className="flex-row flex-wrap gap-3">
            {words('device', 'Instrument')}
            {words('certificate', 'Reader’s certificate')}
          </View>
          <Controller
            control={control}
            name="decidedBy"
            render={({ field }) => (
              <Pick
                label="Who read it"
                value={field.value}
                options={DECIDERS.map((value) => ({ value, label: say(value) }))}
                onChange={field.onChange}
              />
            )}
          />
        </>
      ) : null}
      {kind === 'xrf' ? (
        <View className="flex-row flex-wrap gap-3">
          {number('bandLow', 'Inconclusive from', 'from the instrument’s sheet, if it has a range')}
          {number('bandHigh', 'to')}
        </View>
      ) : null}
      {more ? (
        <Controller
          control={control}
          name="note"
          render={({ field }) => (
            <TextField label="Where, and what you saw" value={field.value} onChange={field.onChange} onCommit={field.onChange} />
          )}
        />
      ) : (
        <Button
          look="quiet"
          flush
          label={kind === 'spot' ? 'Where, minutes, lot of the kit, earlier reading' : 'Where, and what you saw'}
          expanded={false}
          onPress={() => setMore(true)}
        />
      )}
      {more && standing.length > 0 && !answers ? (
        <Controller
          control={control}
          name="replaces"
          render={({ field }) => (
            <Select
              label="Does it replace an earlier reading"
              value={field.value}
              options={[
                { value: '', label: 'no, both stand' },
                ...standing.map((r) => ({ value: r.id, label: `${say(r.kind)}, ${when(r.takenAt)}` })),
              ]}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
      {replaces !== '' && !answers ? (
        <Controller
          control={control}
          name="why"
          render={({ field }) => (
            <TextField
              label="Why it replaces it"
              value={field.value}
              problem={errors.why?.message}
              onChange={field.onChange}
              onCommit={field.onChange}
            />
          )}
        />
      ) : null}
      <Problems problems={errors.root?.message ? [{ path: 'root', message: errors.root.message }] : []} />
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Record it" testID="save-reading" onPress={() => void save()} />
        <Button label="Not now" onPress={onDone} />
      </View>
    </Panel>
  );
}
