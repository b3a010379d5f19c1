/* What every screen may know of a player and a place: types only, so that no screen reaches a reader. */
export type { KnownPlace } from '../readers/known-place';
export type { PlayerFacts, PlayerName } from '../readers/player-facts';
export type { Answers, Note } from '../readers/notes';
export type { Pattern } from '../readers/patterns';
export type { FilterChoices } from '../readers/filters';
