/** The mixing bench, with or without a job: one thing at a time, for gloved hands. */
import { ScrollView, View } from 'react-native';
import type { Language } from '@roughsill/core/prepare';
import { Button, Pick, UnitsProvider, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { useKeptScroll, useWayBack } from '../../trail';
import { Notices } from '../Notices';
import { useJobAtHand } from '../useJobAtHand';
import { CausticBench } from './CausticBench';
import { LabelBench } from './LabelBench';
import { MeetBench } from './MeetBench';
import { NeutraliseBench } from './NeutraliseBench';
import { MistBench } from './MistBench';
import { NozzleBench } from './NozzleBench';
import { PotBench, PotsDue } from './PotBench';
import { SiteWaterBench } from './SiteWaterBench';
import { PasteBench, ThinBench } from './ThinBench';

const TOOLS = [
  { value: 'caustic', label: 'Caustic' },
  { value: 'neutral', label: 'Acid, rinse' },
  { value: 'thin', label: 'Thin' },
  { value: 'meet', label: 'Never together' },
  { value: 'label', label: 'Labels' },
  { value: 'mist', label: 'Wet ceiling' },
  { value: 'nozzle', label: 'Blasting air' },
  { value: 'water', label: 'Rinse, steam' },
  { value: 'pots', label: 'On the clock' },
] as const;
interface Kept {
  readonly tool: (typeof TOOLS)[number]['value'];
  readonly language: Language;
}

export function MixScreen() {
  const { units } = useJobAtHand();
  const way = useWayBack({ href: '/', label: 'All jobs' }, '/');
  const scroll = useKeptScroll();
  const [{ tool, language }, put] = useKept<Kept>('bench', { tool: 'caustic', language: 'en' });
  return (
    <UnitsProvider value={units}>
      <View className="flex-1 bg-limewash">
        <ScrollView {...scroll} testID="page" contentContainerClassName="w-full max-w-[56rem] gap-5 self-center p-4 pb-10">
          <View className="gap-1">
            <View className="flex-row flex-wrap items-center justify-between gap-3">
              <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
              <Button
                look="quiet"
                label={language === 'en' ? 'Español' : 'English'}
                says={language === 'en' ? 'What the crew reads: in Spanish' : 'What the crew reads: in English'}
                onPress={() => put({ tool, language: language === 'en' ? 'es' : 'en' })}
                testID="bench-language"
              />
            </View>
            <Words look="title" level={1}>
              Mixing bench
            </Words>
          </View>
          {tool === 'pots' ? null : <PotsDue key={tool} language={language} />}
          <Pick label="At the bench" value={tool} options={TOOLS} onChange={(t) => put({ tool: t, language })} testID="bench-tool" />
          {tool === 'caustic' ? <CausticBench language={language} /> : null}
          {tool === 'neutral' ? <NeutraliseBench language={language} /> : null}
          {tool === 'thin' ? (
            <>
              <ThinBench />
              <PasteBench />
            </>
          ) : null}
          {tool === 'meet' ? <MeetBench language={language} /> : null}
          {tool === 'label' ? <LabelBench language={language} /> : null}
          {tool === 'mist' ? <MistBench language={language} /> : null}
          {tool === 'nozzle' ? <NozzleBench language={language} /> : null}
          {tool === 'water' ? <SiteWaterBench language={language} /> : null}
          {tool === 'pots' ? <PotBench language={language} /> : null}
          <Words look="note">
            The product’s own data sheet and the local rule outrank every number here. What is not known: stop and ask.
          </Words>
        </ScrollView>
        <Notices />
      </View>
    </UnitsProvider>
  );
}
