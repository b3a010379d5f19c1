import { range, type Range } from '../range';

export const faceKinds = ['strings', 'bat rubber', 'wood', 'open hand'] as const;
export type FaceKind = (typeof faceKinds)[number];

/** What a ball is kept bouncing on: how lively, against the hard flat base of the drop test. */
export const faces: Readonly<Record<FaceKind, { readonly label: string; readonly liveliness: Range }>> = {
  strings: {
    label: 'racket strings',
    liveliness: range(
      1.05,
      1.12,
      1.2,
      'memory',
      'R. Cross: 0.8 to 0.88 with the head held still, a yellow ball',
    ),
  },
  'bat rubber': {
    label: 'bat with rubber',
    liveliness: range(0.88, 0.95, 1, 'ours', 'sponge gives some and takes some: drop a ball and compare'),
  },
  wood: { label: 'bare wood', liveliness: range(0.9, 0.97, 1, 'ours', 'near the wooden floor') },
  'open hand': { label: 'open hand', liveliness: range(0.2, 0.4, 0.6, 'ours', 'a palm gives way') },
};
