import type { Step, Zone } from '@/drills/base/types';
import { cx } from '@/ui/class-names';
import { PressZone } from './press-zone';

interface Props {
  readonly name: string;
  readonly digit: number;
  readonly step: Step;
  readonly onZone: (points: number, lateMs: number) => void;
}

/** The zones of a step to press: a target as it lies on the floor, or quality marks one above the other. */
export function TargetZones(props: Props) {
  return props.step.target ? <FloorTarget {...props} /> : <Marks {...props} />;
}

function Marks({ name, digit, step, onZone }: Props) {
  // On a phone they stand side by side: one above the other they would not all fit under the count.
  return (
    <div className="flex min-h-0 gap-2 @md:flex-col">
      {step.zones?.map((zone, index) => (
        <PressZone
          key={zone.label}
          data-zone-of={index === 0 ? digit : undefined}
          onPress={(lateMs) => onZone(zone.points, lateMs)}
          className="min-h-16 min-w-0 flex-1 rounded-md border-2 border-ink bg-sheet px-1 leading-tight font-semibold active:bg-chalk @md:px-2"
        >
          <span className="sr-only">{name}: </span>
          <span className="text-2xl font-bold">{zone.points}</span>{' '}
          <span className="text-sm @md:text-base">{zone.label}</span>
        </PressZone>
      ))}
    </div>
  );
}

const isRings = (zones: readonly Zone[]) => zones.some((zone) => zone.label.toLowerCase().includes('ring'));

/**
 * A quarter of the target, its middle in the corner: the zones keep the order and shape they have on the floor, and
 * each is a band wide enough for a thumb. Outer zones lie under inner ones.
 */
function FloorTarget({ name, digit, step, onZone }: Props) {
  const zones = step.zones ?? [];
  const rings = isRings(zones);
  return (
    <div className="relative min-h-0 overflow-hidden rounded-md border-2 border-ink">
      {zones.map((zone, place) => {
        // The best comes first for keys and screen readers, and lies on top.
        const best = place === 0;
        const index = zones.length - 1 - place;
        const share = (100 * (place + 1)) / zones.length;
        return (
          <PressZone
            key={zone.label}
            data-zone-of={best ? digit : undefined}
            onPress={(lateMs) => onZone(zone.points, lateMs)}
            style={{ width: `${share}%`, height: `${share}%`, zIndex: index }}
            className={cx(
              'absolute right-0 bottom-0 min-h-16 min-w-16 border-ink text-left active:brightness-90',
              index > 0 && 'border-t-3 border-l-3',
              index > 0 && rings && 'rounded-tl-[100%]',
              best ? 'bg-ink text-paper' : index % 2 === 0 ? 'bg-sheet' : 'bg-chalk',
            )}
          >
            <span className="sr-only">{name}: </span>
            <span
              className={cx(
                'absolute bottom-1 leading-none font-bold',
                // Beside the curve of its ring, not on it.
                index === 0
                  ? 'top-1.5 bottom-auto left-2'
                  : best
                    ? 'right-2 text-right'
                    : rings
                      ? 'left-5'
                      : 'left-2',
              )}
              style={{ width: index === 0 ? '100%' : `calc(${100 / (place + 1)}% - 1.5rem)` }}
            >
              <span className="text-[clamp(1.5rem,9cqh,2.75rem)]">{zone.points}</span>{' '}
              <span className={cx('leading-tight font-semibold', index > 0 ? 'block text-xs' : 'text-sm')}>
                {zone.label}
              </span>
            </span>
          </PressZone>
        );
      })}
    </div>
  );
}
