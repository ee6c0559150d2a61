/** A button that takes files from the device: the browser's own field lies over it, so that keyboard and readers have it too. */
import { createElement, useId } from 'react';
import { View } from 'react-native';
import { Words } from './Words';

interface FilePickProps {
  readonly label: string;
  readonly accept: string;
  readonly testID: string;
  readonly onFiles: (files: readonly File[]) => void;
  /** Several at once, straight from the camera where there is one. */
  readonly photographs?: boolean;
}

export function FilePick({ label, accept, testID, onFiles, photographs = false }: FilePickProps) {
  const id = useId();
  return (
    <View className="relative min-h-touch self-start border-2 border-soot bg-panel">
      {createElement(
        'label',
        { htmlFor: id, style: { display: 'flex', minHeight: '3rem', alignItems: 'center', padding: '0 1rem', cursor: 'pointer' } },
        <Words look="strong">{label}</Words>,
      )}
      {createElement('input', {
        id,
        type: 'file',
        accept,
        ...(photographs ? { capture: 'environment', multiple: true } : {}),
        'data-testid': testID,
        onChange: ({ target }: { target: { files: FileList | null; value: string } }) => {
          const files = [...(target.files ?? [])];
          // The same file may be picked again once it was put right.
          target.value = '';
          if (files.length > 0) onFiles(files);
        },
        style: { position: 'absolute', inset: 0, opacity: 0, width: '100%' },
      })}
    </View>
  );
}
