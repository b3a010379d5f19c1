/** What can be heard when a ball, a racket and hands meet something. */
export const soundKinds = ['strings', 'frame', 'floor', 'wall', 'table', 'hand', 'clap', 'catch'] as const;
export type SoundKind = (typeof soundKinds)[number];

/** What each is called where somebody is asked to make it. */
export const soundWords: Readonly<Record<SoundKind, string>> = {
  strings: 'bounces on the strings',
  frame: 'bounces on the frame',
  floor: 'bounces on the floor',
  wall: 'hits against the wall',
  table: 'bounces on the table',
  hand: 'pats with the hand',
  clap: 'claps',
  catch: 'catches',
};
