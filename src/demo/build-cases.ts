import { noLoadSum } from '@/core/dose/load';
import { seededRandom, wholeBetween } from '@/core/base/random';
import { surenesses } from '@/core/skill/transfer';
import { kit, places } from './house';
import { plainBook } from '@/drills';
import { kitAtHand } from '@/drills/base/kit';
import type { Place } from '@/core/venues/place';
import type { PlanSetting } from '@/session/plan/evaluate';
import type { StandsOn } from '@/session/plan/place-block';
import type { ChildFacts } from '@/session/plan/build/needs';

/** A session to build for made-up children in a place of the demo. */
export interface BuildCase {
  readonly name: string;
  readonly setting: PlanSetting;
  readonly facts: readonly ChildFacts[];
  readonly standsOn: (drillId: string) => StandsOn;
}

const grounds: readonly (Place | null)[] = [...(places as readonly Place[]), null];

/** A case by its number: 2 to 24 children of 5 to 15 years, 15 to 120 minutes, every place of the demo and none. */
export function buildCase(seed: number): BuildCase {
  const random = seededRandom(seed * 7919 + 11);
  const whole = (low: number, high: number) => wholeBetween(random, low, high);
  const count = whole(2, 24);
  const youngest = whole(5, 12);
  const place = grounds[seed % grounds.length]!;
  const bookedMin = 5 * whole(3, 24);
  const players = Array.from({ length: count }, (_, n) => ({
    id: `p${n}`,
    name: `Child ${n + 1}`,
    age: youngest + whole(0, 3),
    careNote: '',
    weekLoad: noLoadSum,
    dayLoad: noLoadSum,
    lastDone: {},
  }));
  const { drills } = plainBook;
  const facts = players.map<ChildFacts>(({ id }) => ({
    playerId: id,
    focusDrills: [drills[whole(0, drills.length - 1)]!.id, drills[whole(0, drills.length - 1)]!.id],
    train: random() < 0.5 ? null : surenesses[whole(1, 2)]!,
    ladders: drills.flatMap((drill) =>
      random() < 0.4
        ? [{ drillId: drill.id, daysAway: whole(0, 40), chance: random() < 0.2 ? null : random() }]
        : [],
    ),
  }));
  const at = new Map(
    players.flatMap(({ id }) => drills.map((drill) => [`${id} ${drill.id}`, whole(0, 2)] as const)),
  );
  return {
    name: `${count} children, ${bookedMin} min, ${place?.name ?? 'anywhere'}`,
    setting: {
      book: plainBook,
      players,
      records: [],
      bookedMin,
      startTime: '16:30',
      airC: null,
      ground: { place, atHand: kitAtHand(kit as unknown as Record<string, number>) },
    },
    facts,
    standsOn: (drillId) => (playerId) =>
      plainBook.drill(drillId)?.steps[at.get(`${playerId} ${drillId}`) ?? 0]?.id,
  };
}
