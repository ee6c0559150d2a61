/** The houses at which the firm works and the clients for whom: what a job takes over from them, and which jobs were at a house. */
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { CLIENT_LANGUAGES, say, type Client, type Site } from '@roughsill/core/records';
import { Button, NumberField, Panel, Pick, Row, TextField, Words } from '../../kit';
import { add, remove, set, useFirm } from '../../store';
import { cap } from '../../kit/text';
import { useFirmWrite } from '../firm-write';
import { NewNamed } from './NewNamed';
import { useJobsAt } from './OfFirm';

const here = <T extends { readonly name: string; readonly removedAt: string | null }>(all: readonly T[]): T[] =>
  all.filter((x) => x.removedAt === null).sort((a, b) => a.name.localeCompare(b.name));

/** A record of a list: its name and what is known of it, and its fields when it is opened. */
function Entry({
  name,
  note,
  wrong,
  children,
}: {
  readonly name: string;
  readonly note: string;
  readonly wrong?: string | undefined;
  readonly children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-2 border-l-8 border-line py-1 pl-3">
      <Words look="row" level={3}>
        {name}
      </Words>
      <Words look="note">{note}</Words>
      <Button
        look="quiet"
        flush
        label={open ? 'Close' : 'Change'}
        says={`${open ? 'Close' : 'Change'} ${name}`}
        expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? <View className="gap-3">{children}</View> : null}
      {wrong ? <Words tone="oxide">{cap(wrong)}</Words> : null}
    </View>
  );
}

export function HousesPanel() {
  const { write } = useFirmWrite();
  const houses = here(useFirm().sites);
  return (
    <Panel title="Houses" aside="at which the firm works">
      {houses.length === 0 ? <Words look="note">None yet. A job names its house, and takes over its address and year.</Words> : null}
      {houses.map((s) => (
        <House key={s.id} house={s} />
      ))}
      <NewNamed
        label="A house, by what it is called"
        onAdd={(name) => write(add('site', { name, address: '', yearBuilt: null, note: '' }))}
      />
    </Panel>
  );
}

function House({ house: s }: { readonly house: Site }) {
  const { write, wrong } = useFirmWrite();
  const jobs = useJobsAt(s.id);
  const put = (fields: Partial<Site>) => write(set('site', s.id, fields));
  const known = [s.address || 'no address yet', s.yearBuilt === null ? 'year built not known' : `built ${s.yearBuilt}`, s.note];
  return (
    <View>
      <Entry name={s.name} note={known.filter(Boolean).join(' · ')} wrong={wrong}>
        <TextField label="Name of the house" value={s.name} onCommit={(name) => put({ name })} />
        <TextField label="Address" value={s.address} onCommit={(address) => put({ address })} />
        <NumberField
          label="Year built"
          value={s.yearBuilt}
          optional
          decimals={0}
          check={(v) => (v > new Date().getFullYear() ? 'The year is in the future: check it.' : undefined)}
          onCommit={(yearBuilt) => put({ yearBuilt })}
        />
        <TextField label="Note" hint="key, dog, parking, who to ring" value={s.note} onCommit={(note) => put({ note })} />
        <Button look="stop" label="Take it off the list" onPress={() => write(remove('site', s.id))} className="self-start" />
      </Entry>
      {jobs.map((j) => (
        <Row
          key={j.id}
          title={j.name}
          note={[j.createdAt.slice(0, 10), say(`jobState.${j.jobState}`)].join(' · ')}
          href={`/job/${j.id}/walk`}
        />
      ))}
    </View>
  );
}

export function ClientsPanel() {
  const { write } = useFirmWrite();
  const clients = here(useFirm().clients);
  return (
    <Panel title="Clients" aside="for whom the firm works">
      {clients.length === 0 ? <Words look="note">None yet. A job names its client, and its papers say for whom it is done.</Words> : null}
      {clients.map((c) => (
        <ClientEntry key={c.id} client={c} />
      ))}
      <NewNamed label="A client, by name" onAdd={(name) => write(add('client', { name }))} />
    </Panel>
  );
}

function ClientEntry({ client: c }: { readonly client: Client }) {
  const { write, wrong } = useFirmWrite();
  const put = (fields: Partial<Client>) => write(set('client', c.id, fields));
  const known = [c.phone, c.email, c.address, c.reads === 'en' ? '' : `reads ${say(`language.${c.reads}`)}`, c.note].filter(
    (x) => x !== '',
  );
  return (
    <Entry name={c.name} note={known.join(' · ') || 'no telephone or address yet'} wrong={wrong}>
      <TextField label="Name" value={c.name} onCommit={(name) => put({ name })} />
      <TextField label="Telephone" value={c.phone} onCommit={(phone) => put({ phone })} />
      <TextField label="E-mail" value={c.email} onCommit={(email) => put({ email })} />
      <TextField label="Address" value={c.address} onCommit={(address) => put({ address })} />
      <Pick
        label="Reads"
        value={c.reads}
        options={CLIENT_LANGUAGES.map((value) => ({ value, label: say(`language.${value}`) }))}
        onChange={(reads) => put({ reads })}
      />
      <TextField label="Note" value={c.note} onCommit={(note) => put({ note })} />
      <Button look="stop" label="Take them off the list" onPress={() => write(remove('client', c.id))} className="self-start" />
    </Entry>
  );
}
