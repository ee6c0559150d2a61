/** A screen that fails keeps its address, says so and offers the way back; what stands round it stays. */
import { Component, useEffect, useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { usePathname } from 'expo-router';
import { Button, Words } from './kit';
import { isReplaced, loadAnew } from './build';
import { cameFromHere } from './trail';

/** Where one was is put together anew: what failed may have left something behind. */
function goBack(): void {
  window.addEventListener('popstate', () => location.reload(), { once: true });
  history.back();
}

interface StumbledProps {
  readonly error: Error;
  readonly onRetry: () => void;
  /** The page that was asked for. */
  readonly path?: string;
}
export function Stumbled({ error, onRetry, path }: StumbledProps) {
  // An app that was updated under an open page no longer has the pieces that this page asks for: the new one is loaded, at this address.
  const [isNew, setNew] = useState(false);
  useEffect(() => {
    let here = true;
    void isReplaced().then((is) => here && is && setNew(loadAnew(path)));
    return () => {
      here = false;
    };
  }, [error, path]);
  if (isNew)
    return (
      <View role="status" className="flex-1 bg-limewash p-6">
        <Words>Loading the new version. What you entered is kept.</Words>
      </View>
    );
  return (
    <ScrollView className="flex-1 bg-limewash" contentContainerClassName="gap-4 p-6">
      <View role="alert" className="gap-2">
        <Words look="title" level={1}>
          This screen stumbled
        </Words>
        <Words>What you entered is kept. Try again, or go back.</Words>
        <Words look="note">{error.message}</Words>
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Try again" onPress={onRetry} />
        {cameFromHere() ? <Button label="Back to where you were" onPress={goBack} /> : null}
        <Button label="All jobs" onPress={() => location.assign('/')} />
      </View>
    </ScrollView>
  );
}

interface GuardProps {
  readonly path: string;
  readonly children: ReactNode;
}
class Guard extends Component<GuardProps, { readonly error: Error | null }> {
  override state: { readonly error: Error | null } = { error: null };
  static getDerivedStateFromError(error: Error) {
    return { error };
  }
  override componentDidUpdate(before: GuardProps) {
    // Another address is another screen.
    if (this.state.error !== null && before.path !== this.props.path) this.setState({ error: null });
  }
  override render() {
    const { error } = this.state;
    return error === null ? (
      this.props.children
    ) : (
      <Stumbled error={error} path={this.props.path} onRetry={() => this.setState({ error: null })} />
    );
  }
}

/** Inside the router, so that an error takes neither the address nor what stands beside the screen with it. */
export function Standing({ children }: { readonly children: ReactNode }) {
  return <Guard path={usePathname()}>{children}</Guard>;
}
