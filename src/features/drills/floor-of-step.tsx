import { distance } from '@/core/geometry/points';
import { explainLap } from '@/core/explanations/lap';
import { numberInWords } from '@/core/counting/measure';
import { lapOf, lapsIn } from '@/core/movement/course';
import { tapedOf, type Layout } from '@/core/movement/layout';
import { toleranceOf } from '@/core/movement/tolerance';
import { counted } from '@/core/base/words';
import { ageBandOf } from '@/drills/base/age-band';
import { layoutOf, type LayoutChild } from '@/drills/layouts';
import type { Drill, Step } from '@/drills/base/types';
import { usualTouchS } from '@/session/base/pace';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { OnTheFloor, WayEnd } from '@/ui/drawing/on-the-floor';
import { Figure } from '@/ui/figure';
import { useUnits } from '@/ui/units';

interface Props {
  readonly drill: Drill;
  readonly step: Step;
  readonly child: LayoutChild;
}

/** What lies on the floor for a step, made to one child: drawn to scale, with its measures and what a lap of it takes. */
export function FloorOfStep({ drill, step, child }: Props) {
  const { length } = useUnits();
  const { age } = child;
  const layout = layoutOf(drill, step, child);
  if (!layout) return null;
  const dose = step.doses[ageBandOf(age)];
  const { course } = layout;
  const offM = toleranceOf(layout);
  const lap = course && lapOf(course, age, child);
  return (
    <section aria-label="On the floor" className="mt-3 border-t-2 border-line pt-2" data-floor>
      <h3 className="text-lg">On the floor</h3>
      <div className="grid items-start gap-x-4 sm:grid-cols-[16rem_1fr]">
        <DrawingToTake name={`floor-${drill.id}`}>
          <LayoutDrawing layout={layout} title={step.title} />
        </DrawingToTake>
        <dl className="grid grid-cols-[1fr_auto] gap-x-4">
          <Measure name="Clear room" value={`${length(layout.widthM)} × ${length(layout.depthM)}`} />
          {measuresOf(layout).map(({ name, metres }) => (
            <Measure key={name} name={name} value={length(metres)} />
          ))}
          {offM !== null && <Measure name="A mark may lie off by" value={length(offM)} />}
          {layout.wallMarkM !== null && <Measure name="Mark on the wall" value={length(layout.wallMarkM)} />}
          {lap && (
            <>
              <Measure name="Way of a lap" value={`${length(lap.lengthM)}, ${counted(lap.steps, 'step')}`} />
              <dt>Lap at full effort, usual at {age}</dt>
              <dd className="tabular text-right font-semibold">
                <Figure
                  label={`Lap at full effort: ${lap.seconds.toFixed(1)} s`}
                  explain={() => explainLap(course, age, child)}
                >
                  {lap.seconds.toFixed(1)} s
                </Figure>
              </dd>
              {step.paces && (
                <Measure
                  name={`One that is counted, as the dose reckons at ${ageBandOf(age).replace('-', ' to ')}`}
                  value={`${usualTouchS(step, age)} s`}
                />
              )}
              {dose.kind === 'timed' && step.measure === 'laps' && (
                <Measure
                  name={`Laps in ${dose.workS} s like that`}
                  value={numberInWords(
                    'laps',
                    lapsIn(dose.workS, Math.round(10 * lap.seconds) / 10, step.lapParts?.parts ?? 1),
                  )}
                />
              )}
            </>
          )}
        </dl>
      </div>
    </section>
  );
}

function Measure({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className="tabular text-right font-semibold">{value}</dd>
    </>
  );
}

/** So many measures are read at a glance; the set-out of a session has all of them. Ours. */
const mostMeasures = 6;

/** From each mark to the next, and how large rings and squares are. */
function measuresOf(layout: Layout): { readonly name: string; readonly metres: number }[] {
  const taped = tapedOf({ ...layout, lines: [] });
  const between = taped.slice(1).map(({ at, label }, n) => ({
    name: `${taped[n]!.label} to ${label}`,
    metres: distance(taped[n]!.at, at),
  }));
  const lines = layout.lines.map(({ points, label }) => ({
    name: `${label}, side`,
    metres: distance(points[0]!, points[1]!),
  }));
  const rings = layout.rings.map(({ radiusM, label }) => ({ name: `${label}, radius`, metres: radiusM }));
  return [...between.filter(({ metres }) => metres > 0.005), ...rings, ...lines].slice(0, mostMeasures);
}

const [widthPx, edge] = [320, 8];

function LayoutDrawing({ layout, title }: { readonly layout: Layout; readonly title: string }) {
  const { say } = useUnits();
  const scale = Math.min((widthPx - 2 * edge) / layout.widthM, 260 / layout.depthM);
  const heightPx = layout.depthM * scale + 2 * edge;
  const x = (metres: number) => widthPx / 2 + metres * scale;
  const y = (metres: number) => edge + metres * scale;
  return (
    <svg
      role="img"
      aria-label={say(
        `${title} from above, to scale, in ${layout.widthM} by ${layout.depthM} m: whoever works looks up the page.`,
      )}
      viewBox={`0 0 ${widthPx} ${Math.ceil(heightPx)}`}
      className="w-full"
    >
      <WayEnd />
      <rect
        x={x(-layout.widthM / 2)}
        y={edge}
        width={layout.widthM * scale}
        height={layout.depthM * scale}
        fill="var(--chalk)"
        stroke="var(--soft)"
        strokeWidth="1.5"
        strokeDasharray="3 4"
      />
      <OnTheFloor layout={layout} x={x} y={y} scale={scale} />
    </svg>
  );
}
