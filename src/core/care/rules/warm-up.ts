import { slotsOf } from '../../plan/circuit/circuit';
import { warning, type CareInput, type CareWork, type Warning } from '../care';

export type Part = 'forearm' | 'shoulder' | 'legs';

const words: Readonly<Record<Part, { readonly what: string; readonly put: string }>> = {
  forearm: { what: 'fast forearm work', put: 'Put the wrist and forearm series before it' },
  shoulder: { what: 'overhead work', put: 'Put the shoulder and side series before it' },
  legs: { what: 'jumping or sprinting', put: 'Put a leg warm-up before it' },
};

/** What of a piece of work says what it needs warm, and what it warms. */
export type Warmth = Pick<CareWork, 'warms' | 'moves' | 'hitting'> & {
  readonly players: readonly Pick<CareWork['players'][number], 'load'>[];
};

/** What a piece of work needs warm. */
export function needsWarm(work: Warmth): Part[] {
  const any = (has: (load: CareWork['players'][number]['load']) => boolean) =>
    work.players.some(({ load }) => has(load));
  const parts: Part[] = [];
  if (any((load) => load.forearm > 0)) parts.push('forearm');
  if (any((load) => load.overheads > 0)) parts.push('shoulder');
  const gentle = work.warms.includes('legs');
  if (work.moves.includes('sprint') || (!gentle && any((load) => load.contacts > 0))) parts.push('legs');
  return parts;
}

/** What a piece of work warms; hitting warms the forearm. */
export const warmed = ({ warms, hitting }: Pick<Warmth, 'warms' | 'hitting'>): readonly string[] =>
  hitting && !warms.includes('forearm') ? [...warms, 'forearm'] : warms;

/**
 * Forearm, shoulder, jump and sprint work comes after something that warms them; hitting counts for the forearm.
 * Common practice. A warm-up that stands later in the plan is offered to be moved.
 */
export function warmUpFirst({ work, warmUps }: CareInput): Warning[] {
  const warm = new Set<string>();
  const said = new Set<Part>();
  const warnings: Warning[] = [];
  // What is done at the same time in a circuit warms nobody for it.
  const slots = slotsOf(work);
  for (const [index, slot] of slots.entries()) {
    for (const { one, part } of slot.flatMap((one) => needsWarm(one).map((part) => ({ one, part })))) {
      if (warm.has(part) || said.has(part)) continue;
      said.add(part);
      const later = slots
        .slice(index + 1)
        .flat()
        .find((other) => other.warms.includes(part));
      warnings.push(
        warning(
          'warm-up first',
          part === 'legs' ? 'caution' : 'stop',
          `${one.title} is ${words[part].what}, and nothing before it warms the ${part === 'legs' ? 'legs' : part}.`,
          {
            blockId: one.id,
            origin: 'practice',
            mend: later
              ? { kind: 'move', blockId: later.id, before: slot[0]!.id }
              : { kind: 'insert', drillId: warmUps[part], before: slot[0]!.id },
            mendText: later ? `Move ${later.title} before it` : words[part].put,
          },
        ),
      );
    }
    for (const part of slot.flatMap(warmed)) warm.add(part);
  }
  return warnings;
}
