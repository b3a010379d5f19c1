import type { CSSProperties, ReactNode } from 'react';
import { cx } from '@/ui/class-names';
import { lateBy } from './late-by';

export interface PressZoneProps {
  /** @param lateMs how long ago the finger came down, milliseconds: a busy device tells of it late */
  readonly onPress: (lateMs: number) => void;
  readonly className: string;
  readonly style?: CSSProperties;
  /** For a zone that is on or off. */
  readonly pressed?: boolean;
  readonly children: ReactNode;
  readonly 'data-touch-of'?: number;
  readonly 'data-miss-of'?: number;
  readonly 'data-zone-of'?: number;
}

/** A zone that counts when the finger comes down, not when it lifts: the count follows the eye, and a sliding thumb still counts. */
export function PressZone({ onPress, className, pressed, children, ...rest }: PressZoneProps) {
  return (
    <button
      type="button"
      onPointerDown={(event) => {
        if (event.button === 0) onPress(lateBy(event.nativeEvent, performance.now()));
      }}
      // A finger leaves the focus where it was: the next key belongs to the screen, not to the zone that was touched last.
      onMouseDown={(event) => event.preventDefault()}
      onClick={(event) => {
        // Keys and assistive technology press without a pointer.
        if (event.detail === 0) onPress(lateBy(event.nativeEvent, performance.now()));
      }}
      aria-pressed={pressed}
      className={cx('touch-manipulation select-none', className)}
      {...rest}
    >
      {children}
    </button>
  );
}
