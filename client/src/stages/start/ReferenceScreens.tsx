/** Sources and keys: two pages to look things up in. */
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { SOURCES, SOURCE_KIND_WORDS, type Source, type SourceKind } from '@roughsill/core/words';
import { Button, Panel, Words } from '../../kit';
import { KEYS } from '../keys';

const Page = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <ScrollView className="flex-1 bg-limewash" contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
    <Button look="quiet" label="‹ Back" onPress={() => (router.canGoBack() ? router.back() : router.replace('/'))} flush />
    <Words look="title" level={1}>
      {title}
    </Words>
    {children}
  </ScrollView>
);

export function SourcesScreen() {
  const rows = Object.entries(SOURCES) as [string, Source][];
  return (
    <Page title="Sources">
      <Words>Every verdict names one of these. Rules change: verify locally.</Words>
      {(Object.keys(SOURCE_KIND_WORDS) as SourceKind[]).map((kind) => (
        <Panel key={kind} title={SOURCE_KIND_WORDS[kind]}>
          <View className="gap-1">
            {rows
              .filter(([, s]) => s.kind === kind)
              .map(([key, s]) => (
                <View key={key} className="bg-panel px-3 py-2">
                  <Words look="strong">{s.title}</Words>
                  <Words look="note">{[s.at, s.where === 'any' ? '' : s.where, s.note].filter(Boolean).join(' · ')}</Words>
                </View>
              ))}
          </View>
        </Panel>
      ))}
    </Page>
  );
}

export function KeysScreen() {
  return (
    <Page title="Keys">
      <View className="gap-1">
        {KEYS.map(([key, does]) => (
          <View key={key} className="flex-row gap-4 bg-panel px-3 py-2">
            <Words look="row" className="w-24">
              {key}
            </Words>
            <Words className="flex-1">{does}</Words>
          </View>
        ))}
      </View>
    </Page>
  );
}
