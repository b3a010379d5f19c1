import { counted } from '../../base/words';
import { warning, type CareInput, type Warning } from '../care';

/**
 * Steps with a limit of their own: from an age, at most so many tries a session, so many days apart.
 * Heavy balls: 15 a session, 7 to 21 days apart is common practice; 21 days and not for children is ours.
 */
export function limitedSteps({ work, players }: CareInput): Warning[] {
  return work.flatMap((one) =>
    one.players.flatMap(({ playerId, load, limit }) => {
      const player = limit && players.find(({ id }) => id === playerId);
      if (!limit || !player) return [];
      const about = { blockId: one.id, playerId, origin: 'ours' as const };
      const sitOut = {
        mend: { kind: 'sit-out', blockId: one.id, playerId } as const,
        mendText: `${player.name} sits ${one.title} out`,
      };
      if (player.age < limit.fromAge)
        return [
          warning(
            'age',
            'stop',
            `${one.title}: this step is from ${limit.fromAge} years on, and ${player.name} is ${player.age}.`,
            {
              ...about,
              ...sitOut,
            },
          ),
        ];
      const since = player.lastDone[limit.key];
      if (since !== undefined && since < limit.daysApart)
        return [
          warning(
            'days apart',
            'stop',
            `${one.title}: ${player.name} did this step ${since === 0 ? 'today' : `${counted(since, 'day')} ago`}; ${limit.daysApart} days are wanted between.`,
            { ...about, ...sitOut },
          ),
        ];
      const before = triesBefore(work, one, playerId, limit.key);
      const left = Math.max(0, limit.triesASession - before);
      if (load.tries > left && left < 1)
        return [
          warning(
            'load caps',
            'stop',
            `${one.title}: at most ${limit.triesASession} of these in a session, and ${player.name} has had them all before.`,
            { ...about, ...sitOut },
          ),
        ];
      if (load.tries > left)
        return [
          warning(
            'load caps',
            'stop',
            `${one.title}: at most ${limit.triesASession} of these in a session, and ${player.name} would do ${Math.round(before + load.tries)}.`,
            {
              ...about,
              mend: {
                kind: 'scale',
                blockId: one.id,
                share: Math.max(0.1, left / load.tries),
                playerId: player.id,
              },
              mendText: `Shorten it to ${Math.floor(left)} for ${player.name}`,
            },
          ),
        ];
      return [];
    }),
  );
}

/** Tries of a limited step that a player does in the session before a piece of work. */
function triesBefore(
  work: CareInput['work'],
  until: CareInput['work'][number],
  playerId: string,
  key: string,
): number {
  return work
    .slice(0, work.indexOf(until))
    .flatMap(({ players }) => players)
    .filter((one) => one.playerId === playerId && one.limit?.key === key)
    .reduce((sum, { load }) => sum + load.tries, 0);
}
