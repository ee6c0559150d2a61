/** Which house a job is at and for whom it is done, out of the firm's lists: what they say is taken over, and what they say later is offered. */
import { View } from 'react-native';
import { say, type Client, type Job, CLIENT_LANGUAGES, type Site } from '@roughsill/core/records';
import { Button, Pick, Select, TextField, Words } from '../../kit';
import { add, commitToFirm, newId, useAppDispatch, useAppSelector, useFirm } from '../../store';

type Put = (fields: Partial<Job>) => void;

/** Live ones, and the one that is named already, also when it was taken off the list since. */
const offered = <T extends { readonly id: string; readonly removedAt: string | null }>(all: readonly T[], id: string | null): T[] =>
  all.filter((x) => x.removedAt === null || x.id === id);
const optionsOf = (all: readonly { readonly id: string; readonly name: string; readonly removedAt: string | null }[], none: string) => [
  { value: '', label: none },
  ...all.map((x) => ({ value: x.id, label: x.removedAt === null ? x.name : `${x.name}, taken off the list` })),
];

const placeOf = (site: Site): string => site.address || site.name;
/** What a job takes over from the house that it is at. */
export const fromHouse = (site: Site, yearBuilt: number | null): Partial<Job> => ({
  siteId: site.id,
  place: placeOf(site),
  ...(yearBuilt === null && site.yearBuilt !== null ? { yearBuilt: site.yearBuilt } : {}),
});
const fromClient = (client: Client): Partial<Job> => ({ clientId: client.id, clientName: client.name, contractIn: client.reads });

export function HousePick({ job, put }: { readonly job: Job; readonly put: Put }) {
  const dispatch = useAppDispatch();
  const { siteId, place, yearBuilt } = job;
  const houses = offered(useFirm().sites, siteId);
  const house = houses.find((s) => s.id === siteId);
  return (
    <View className="gap-2">
      {houses.length > 0 ? (
        <Select
          label="House"
          value={house?.id ?? ''}
          options={optionsOf(houses, 'none of the list')}
          onChange={(id) => {
            const picked = houses.find((s) => s.id === id);
            put(picked ? fromHouse(picked, yearBuilt) : { siteId: null });
          }}
          testID="site"
        />
      ) : null}
      {house && placeOf(house) !== place ? (
        <View className="gap-1">
          <Words look="note">{`On the list the house is at: ${placeOf(house)}.`}</Words>
          <Button label="Take that over" onPress={() => put(fromHouse(house, yearBuilt))} className="self-start" />
        </View>
      ) : null}
      {house === undefined && place.trim() !== '' ? (
        <Button
          look="quiet"
          flush
          label="Keep this place on the firm’s list of houses"
          onPress={() => {
            const id = newId();
            const found = dispatch(commitToFirm([add('site', { name: job.name, address: place, yearBuilt, note: '' }, undefined, id)]));
            if (found.length === 0) put({ siteId: id });
          }}
        />
      ) : null}
    </View>
  );
}

export function ClientPick({ job, put, problem }: { readonly job: Job; readonly put: Put; readonly problem?: string | undefined }) {
  const dispatch = useAppDispatch();
  const { clientId, clientName } = job;
  const clients = offered(useFirm().clients, clientId);
  const client = clients.find((c) => c.id === clientId);
  return (
    <View className="gap-2">
      {clients.length > 0 ? (
        <Select
          label="Client"
          value={client?.id ?? ''}
          options={optionsOf(clients, 'none of the list')}
          onChange={(id) => {
            const picked = clients.find((c) => c.id === id);
            put(picked ? fromClient(picked) : { clientId: null });
          }}
          testID="client"
        />
      ) : null}
      {client === undefined ? (
        <TextField
          label="For whom it is done"
          value={clientName}
          problem={problem}
          onCommit={(name) => put({ clientName: name })}
          testID="client-name"
        />
      ) : (
        <Words look="note">
          {[client.phone, client.email, client.address].filter((x) => x !== '').join(' · ') || 'No telephone or address on the list yet.'}
        </Words>
      )}
      {client && client.name !== clientName ? (
        <View className="gap-1">
          <Words look="note">{`On the list the client is called: ${client.name}.`}</Words>
          <Button
            label="Take that over"
            says="Take over the client’s name"
            onPress={() => put(fromClient(client))}
            className="self-start"
          />
        </View>
      ) : null}
      {client === undefined && clientName.trim() !== '' ? (
        <Button
          look="quiet"
          flush
          label="Keep this client on the firm’s list"
          onPress={() => {
            const id = newId();
            const found = dispatch(commitToFirm([add('client', { name: clientName.trim(), reads: job.contractIn }, undefined, id)]));
            if (found.length === 0) put({ clientId: id });
          }}
        />
      ) : null}
      <Pick
        label="ClientLanguage of the contract"
        value={job.contractIn}
        options={CLIENT_LANGUAGES.map((value) => ({ value, label: say(`language.${value}`) }))}
        onChange={(contractIn) => put({ contractIn })}
        testID="contractIn"
      />
    </View>
  );
}

/** Jobs at one house, the newest first. */
export function useJobsAt(siteId: string | null) {
  const list = useAppSelector((s) => s.jobs.list);
  return siteId === null ? [] : [...(list ?? [])].filter((j) => j.siteId === siteId).sort((a, b) => b.createdAt.localeCompare(a.createdAt));
}
