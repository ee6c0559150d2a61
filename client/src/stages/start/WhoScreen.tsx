/** Who is at this phone: one tap on a name of the firm. Every entry from then on is theirs. */
import { Pressable, ScrollView, View } from 'react-native';
import { Button, Panel, Words } from '../../kit';
import { add, atPhone, newId, useAppDispatch, useAppSelector, useFirm } from '../../store';
import { useWayBack } from '../../trail';
import { useTitle } from '../../useTitle';
import { useFirmWrite } from '../firm-write';
import { Notices } from '../Notices';
import { NewNamed } from './NewNamed';

export function WhoScreen() {
  const dispatch = useAppDispatch();
  const { person, personId } = useAppSelector((s) => s.session);
  const people = useFirm()
    .people.filter((p) => p.removedAt === null)
    .sort((a, b) => a.name.localeCompare(b.name));
  const { write } = useFirmWrite();
  const way = useWayBack({ href: '/', label: 'All jobs' }, '');
  useTitle('Who is here');
  const choose = (name: string, id: string | null) => {
    dispatch(atPhone({ person: name, personId: id }));
    way.go();
  };
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-5 self-center p-4 pb-10">
        <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
        <Words look="title" level={1}>
          Who is at this phone?
        </Words>
        <Words>{`Now: ${person}. Every entry carries the name of who makes it.`}</Words>
        <View role="radiogroup" aria-label="Who is at this phone" className="gap-1">
          {people.map((p) => (
            <Pressable
              key={p.id}
              role="radio"
              aria-checked={p.id === personId}
              onPress={() => choose(p.name, p.id)}
              className={`min-h-touch justify-center border-l-4 px-3 py-2 ${p.id === personId ? 'border-soot bg-shelf' : 'border-transparent bg-panel'}`}
            >
              <Words look="row">{p.name}</Words>
            </Pressable>
          ))}
        </View>
        <Panel title="Somebody else" aside="new to the firm’s list">
          <NewNamed
            label="Name"
            onAdd={(name) => {
              const id = newId();
              if (write(add('person', { name }, undefined, id))) choose(name, id);
            }}
          />
        </Panel>
      </ScrollView>
      <Notices />
    </View>
  );
}
