import type { PlayerWithFocus } from '@/data/squad';

/** A player as every screen shows them. */
export interface PlayerFacts {
  readonly id: string;
  readonly name: string;
  readonly age: number;
  readonly sport: PlayerWithFocus['sport'];
  readonly hand: PlayerWithFocus['hand'];
  readonly stage: PlayerWithFocus['stage'];
  readonly focus: string;
  readonly careNote: string;
  readonly heightCm: number | null;
  readonly racketIn: number | null;
}

/** Age is by year of birth: the day of birth is not kept. */
export function playerFacts(player: PlayerWithFocus, today: string): PlayerFacts {
  const { id, name, sport, hand, stage, focus, careNote, heightCm, racketIn } = player;
  return {
    id,
    name,
    age: Number(today.slice(0, 4)) - player.birthYear,
    sport,
    hand,
    stage,
    focus,
    careNote,
    heightCm,
    racketIn,
  };
}

/** Enough to tick somebody on a list. */
export interface PlayerName {
  readonly id: string;
  readonly name: string;
}

export const playerName = ({ id, name }: PlayerWithFocus): PlayerName => ({ id, name });
