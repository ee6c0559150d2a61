import { lazy, Suspense, type ComponentType } from 'react';
import { ActivityIndicator } from 'react-native';
import { Standing } from '../Stumbled';

type Screens = (typeof import('./lazy-screens'))['screens'];

function onDemand<P extends object>(pick: (screens: Screens) => ComponentType<P>): ComponentType<P> {
  const begin = () =>
    lazy(async () => {
      try {
        return { default: pick((await import('./lazy-screens')).screens) };
      } catch (error) {
        // What could not be fetched once is asked for again when it is tried again: a lazy component keeps its failure for ever.
        Screen = begin();
        throw error;
      }
    }) as unknown as ComponentType<P>;
  let Screen = begin();
  return function Waiting(props: P) {
    return (
      <Standing>
        <Suspense fallback={<ActivityIndicator aria-label="Opening" />}>
          <Screen {...props} />
        </Suspense>
      </Standing>
    );
  };
}

export const Why = onDemand((r) => r.Why);
export const JobScreen = onDemand((r) => r.JobScreen);
export const StageIndex = onDemand((r) => r.StageIndex);
export const SurfaceRoute = onDemand((r) => r.SurfaceRoute);
export const JobOverview = onDemand((r) => r.JobOverview);
export const OverviewPane = onDemand((r) => r.OverviewPane);
export const SurfaceScreen = onDemand((r) => r.SurfaceScreen);
export const NewJobScreen = onDemand((r) => r.NewJobScreen);
export const JobFactsScreen = onDemand((r) => r.JobFactsScreen);
export const AsideScreen = onDemand((r) => r.AsideScreen);
export const SettingsScreen = onDemand((r) => r.SettingsScreen);
export const WhoScreen = onDemand((r) => r.WhoScreen);
export const FirmScreen = onDemand((r) => r.FirmScreen);
export const PrintScreen = onDemand((r) => r.PrintScreen);
export const AddScreen = onDemand((r) => r.AddScreen);
export const TableScreen = onDemand((r) => r.TableScreen);
export const ImportScreen = onDemand((r) => r.ImportScreen);
export const InstrumentsScreen = onDemand((r) => r.InstrumentsScreen);
export const MoldScreen = onDemand((r) => r.MoldScreen);
export const SamplesScreen = onDemand((r) => r.SamplesScreen);
export const SurveyScreen = onDemand((r) => r.SurveyScreen);
export const KeysScreen = onDemand((r) => r.KeysScreen);
export const SourcesScreen = onDemand((r) => r.SourcesScreen);
export const CatalogueScreen = onDemand((r) => r.CatalogueScreen);
export const CompareScreen = onDemand((r) => r.CompareScreen);
export const CertaintyScreen = onDemand((r) => r.CertaintyScreen);
export const ClientScreen = onDemand((r) => r.ClientScreen);
export const AirScreen = onDemand((r) => r.AirScreen);
export const ShelfScreen = onDemand((r) => r.ShelfScreen);
export const BuyScreen = onDemand((r) => r.BuyScreen);
export const MixScreen = onDemand((r) => r.MixScreen);
export const WindowsScreen = onDemand((r) => r.WindowsScreen);
export const BreathingScreen = onDemand((r) => r.BreathingScreen);
export const BagsScreen = onDemand((r) => r.BagsScreen);
export const RoundsScreen = onDemand((r) => r.RoundsScreen);
