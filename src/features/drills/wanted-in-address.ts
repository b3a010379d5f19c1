import { measures, type Measure } from '@/core/counting/measure';
import { families, focuses, sports } from '@/drills/base/types';
import type { Wanted } from '@/session/drills/find';

/** What the list of drills is narrowed to, as it stands in the address. */
export interface Looked {
  readonly wanted: Wanted;
  readonly placeId: string;
  readonly group: number;
}

/** A group of four: enough for a pair drill, small enough for a wall. Ours. */
export const usualGroup = 4;

const among = <T extends string>(options: readonly T[], text: string | null): T | null =>
  options.find((one) => one === text) ?? null;

function whole(text: string | null, min: number, max: number): number | null {
  const number = Number(text);
  return text !== null && text !== '' && Number.isInteger(number) && number >= min && number <= max
    ? number
    : null;
}

/** What an address asks for; what cannot be is left out. */
export function lookedFor(query: Pick<URLSearchParams, 'get'>): Looked {
  return {
    wanted: {
      words: (query.get('words') ?? '').slice(0, 80),
      sport: among(sports, query.get('sport')),
      family: among(families, query.get('family')),
      measure: among(Object.keys(measures) as Measure[], query.get('measure')),
      focus: among(focuses, query.get('trains')),
      age: whole(query.get('age'), 3, 18),
      minutes: whole(query.get('minutes'), 1, 20),
      fitting: query.get('fits') === '1',
    },
    placeId: query.get('place') ?? '',
    group: whole(query.get('players'), 1, 12) ?? usualGroup,
  };
}

/** The end of an address that asks for it; empty where nothing is narrowed. */
export function addressOf({ wanted, placeId, group }: Looked): string {
  const { words, sport, family, measure, focus, age, minutes, fitting } = wanted;
  const parts: Record<string, string | number | null> = {
    words,
    sport,
    family,
    measure,
    age,
    minutes,
    trains: focus,
    fits: fitting ? 1 : null,
    place: placeId,
    players: group === usualGroup ? null : group,
  };
  const query = new URLSearchParams();
  for (const [key, value] of Object.entries(parts)) if (value) query.set(key, String(value));
  return query.toString();
}
