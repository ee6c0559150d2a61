import { lazy, Suspense, type ComponentType } from 'react';
import { ActivityIndicator } from 'react-native';

function onDemand<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Form = lazy(async () => ({ default: await load() })) as unknown as ComponentType<P>;
  return function Waiting(props: P) {
    return (
      <Suspense fallback={<ActivityIndicator aria-label="Opening the form" />}>
        <Form {...props} />
      </Suspense>
    );
  };
}

export const NewJobScreen = onDemand(async () => (await import('./forms')).NewJobScreen);
export const JobFactsScreen = onDemand(async () => (await import('./forms')).JobFactsScreen);
export const ReadingForm = onDemand(async () => (await import('./forms')).ReadingForm);
