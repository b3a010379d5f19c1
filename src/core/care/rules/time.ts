import { addLoads, noLoadSum } from '../../dose/load';
import { slotsOf } from '../../plan/circuit/circuit';
import { inMinutes } from '../../base/words';
import { warning, type CareInput, type Warning } from '../care';
import { drinkEveryS, drinkS, fewTries, homeMinutes, oneSided, sessionMinutes, tooHotC } from '../limits';

/** A drink every twenty minutes, sooner in the heat: the mend puts a minute after the block where it is due. */
export function drinkBreaks({ work, airC, kind }: CareInput): Warning[] {
  if (kind === 'vow') return [];
  const everyS = drinkEveryS(airC);
  const warnings: Warning[] = [];
  let sinceS = 0;
  // Nobody drinks in the middle of a circuit: it is followed by one drink, which every station has.
  const stretches = slotsOf(work).map((slot) => {
    const breakS = Math.max(...slot.map((one) => one.breakS));
    const workS = slot.reduce((sum, one) => sum + one.totalS, 0) - breakS;
    return { one: slot.at(-1)!, breakS, workS };
  });
  for (const [index, { one, breakS, workS }] of stretches.entries()) {
    const next = stretches[index + 1];
    sinceS += workS;
    if (breakS >= drinkS) sinceS = 0;
    // Due before the next block would carry it past the line; the end of the session is a break by itself.
    else if (next && sinceS + next.workS > everyS) {
      warnings.push(
        warning(
          'drink break',
          airC !== null && airC >= 27 ? 'caution' : 'note',
          `A drink is due after ${one.title}: it is ${inMinutes(sinceS)} since the last one${airC === null ? '' : ` at ${airC} °C`}.`,
          {
            blockId: one.id,
            mend: { kind: 'break', blockId: one.id, seconds: drinkS },
            mendText: 'Put a minute’s drink after it',
          },
        ),
      );
      sinceS = 0;
    }
  }
  return warnings;
}

/** Very hot air: another hour, or the shade. */
export function heat({ airC }: CareInput): Warning[] {
  if (airC === null || airC < tooHotC) return [];
  return [
    warning(
      'heat',
      'stop',
      `${airC} °C is too hot for running work with children: choose the shade or another hour.`,
    ),
  ];
}

/** The whole session stays inside what the youngest can do well. */
export function totalMinutes({ work, players, kind }: CareInput): Warning[] {
  const youngest = players.reduce<(typeof players)[number] | null>(
    (least, next) => (!least || next.age < least.age ? next : least),
    null,
  );
  if (!youngest) return [];
  const most = kind === 'vow' ? homeMinutes : sessionMinutes(youngest.age);
  const minutes = work.reduce((sum, one) => sum + one.totalS, 0) / 60;
  if (minutes <= most) return [];
  const longest = work.reduce((so, next) => (next.totalS > so.totalS ? next : so));
  return [
    warning(
      'total minutes',
      'caution',
      `${Math.round(minutes)} minutes are planned; for ${youngest.name}, who is ${youngest.age}, ${most} are the line.`,
      {
        playerId: youngest.id,
        blockId: longest.id,
        mend: { kind: 'scale', blockId: longest.id, share: 0.6 },
        mendText: `Shorten ${longest.title}`,
      },
    ),
  ];
}

/** Nearly everything on the racket side: ask for the other hand in the block that has most of it. */
export function bothSides({ work, players }: CareInput): Warning[] {
  for (const player of players) {
    const own = work.flatMap((one) =>
      one.players.filter(({ playerId }) => playerId === player.id).map(({ load }) => ({ one, load })),
    );
    const sum = own.reduce((all, { load }) => addLoads(all, load), noLoadSum);
    if (sum.tries < fewTries || sum.strongTries / sum.tries <= oneSided) continue;
    const most = own.reduce((so, next) => (next.load.strongTries > so.load.strongTries ? next : so));
    return [
      warning(
        'both sides',
        'note',
        `${Math.round((100 * sum.strongTries) / sum.tries)} % of ${player.name}’s touches are on one side: let the other hand have some.`,
        {
          playerId: player.id,
          blockId: most.one.id,
          mend: { kind: 'other hand', blockId: most.one.id },
          mendText: `Other hand in ${most.one.title}`,
        },
      ),
    ];
  }
  return [];
}
