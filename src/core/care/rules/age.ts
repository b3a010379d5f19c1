import { warning, type CareInput, type Warning } from '../care';

/** A drill that is usually for older children: a guide and not a gate, so a note; the coach knows the child. */
export function youngerThanUsual({ work, players }: CareInput): Warning[] {
  return work.flatMap((one) => {
    const young = players.filter(
      (player) => player.age < one.ages.from && one.players.some(({ playerId }) => playerId === player.id),
    );
    const [first] = young;
    if (!first) return [];
    const names = young.map((player) => `${player.name} is ${player.age}`).join(', ');
    return [
      warning(
        'age guide',
        'note',
        `${one.title} is usually done from ${one.ages.from} years on; ${names}: choose the lowest step, or something else.`,
        {
          blockId: one.id,
          playerId: first.id,
          origin: 'practice',
          mend: { kind: 'sit-out', blockId: one.id, playerId: first.id },
          mendText: `${first.name} sits it out`,
        },
      ),
    ];
  });
}
