import type { ReactNode } from 'react';
import { cx } from '@/ui/class-names';

interface SideButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly beside?: boolean;
  readonly compact?: boolean;
  readonly children: ReactNode;
}

/** Another way to count than tapping, beside the taps; it gives way to what is heard while somebody is listened to. */
export function SideButton({ label, onPress, beside = false, compact = false, children }: SideButtonProps) {
  return (
    <button
      type="button"
      onClick={onPress}
      aria-label={label}
      className={cx(
        'inline-flex min-h-16 min-w-20 touch-manipulation flex-col items-center justify-center text-sm font-semibold active:bg-line',
        beside
          ? compact
            ? 'border-t-2 border-ink'
            : 'border-l-2 border-ink peer-[:not(:empty)]:hidden'
          : 'shrink-0 rounded-md border-2 border-edge',
      )}
    >
      {children}
    </button>
  );
}

export type SideProps = Pick<SideButtonProps, 'onPress' | 'beside' | 'compact'> & { readonly name: string };
