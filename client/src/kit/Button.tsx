import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

interface ButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly look?: 'main' | 'plain' | 'quiet' | 'onSoot' | 'stop';
  readonly icon?: ReactNode;
  readonly disabled?: boolean;
  /** Spoken instead of the label, when the label alone says too little. */
  readonly says?: string;
  readonly pressed?: boolean;
  readonly expanded?: boolean;
  /** Stands at the left edge, without the inner margin. */
  readonly flush?: boolean;
  readonly testID?: string;
  readonly className?: string;
}

const LOOKS = {
  main: ['bg-soot border-soot', 'text-onsoot'],
  plain: ['bg-panel border-soot', 'text-soot'],
  quiet: ['bg-transparent border-transparent', 'text-slate underline decoration-line decoration-[3px] underline-offset-4'],
  onSoot: ['bg-onsoot border-onsoot', 'text-soot'],
  stop: ['bg-panel border-oxide', 'text-oxide'],
} as const;

/** A button no smaller than a gloved thumb. */
export function Button({
  label,
  onPress,
  look = 'plain',
  icon,
  disabled,
  says,
  pressed,
  expanded,
  flush,
  testID,
  className = '',
}: ButtonProps) {
  const [box, text] = LOOKS[look];
  return (
    <Pressable
      role="button"
      aria-label={says}
      aria-pressed={pressed}
      aria-expanded={expanded}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-touch min-w-touch flex-row items-center justify-center gap-2 border-2 py-2 ${flush ? 'self-start pr-4' : 'px-4'} active:opacity-80 ${box} ${disabled ? 'opacity-60' : ''} ${className}`}
    >
      {icon ? <View aria-hidden>{icon}</View> : null}
      <Text className={`font-strong text-body ${text}`}>{label}</Text>
    </Pressable>
  );
}
