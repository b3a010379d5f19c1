import type { ComponentType } from 'react';
import { clapRate } from '@/core/ballistics/tap/toss';
import type { BenchChild } from '../child';
import { BounceDials, CatchDials, ClapDials, HoopDials, type DialsProps } from './toss-dials';
import { bounced, caught, clapped, hooped, type Asked, type TossSettings, type Worked } from './toss-work';

/** A question of the bench: what is dialled, where the dials begin for a child, and how it is worked out. */
interface TossQuestion {
  readonly Dials: ComponentType<DialsProps>;
  readonly begin: (child: BenchChild) => Partial<TossSettings>;
  readonly work: (asked: Asked) => Worked;
}

export const tossQuestions = {
  'bounce on a face': {
    Dials: BounceDials,
    begin: () => ({ heightM: 0.37, spreadS: 0.03 }),
    work: bounced,
  },
  'toss and clap': {
    Dials: ClapDials,
    begin: ({ age }) => ({ claps: 5, clapsPerS: clapRate(age) }),
    work: clapped,
  },
  'through the hoop': { Dials: HoopDials, begin: ({ hoopM }) => ({ hoopM }), work: hooped },
  'soft catch': { Dials: CatchDials, begin: () => ({ overHeadM: 0.75, stopM: 0.18 }), work: caught },
} as const satisfies Record<string, TossQuestion>;

export type Question = keyof typeof tossQuestions;
export const questions = Object.keys(tossQuestions) as Question[];

/** Where all dials stand to begin with, for a child. */
export const settingsFor = (child: BenchChild): TossSettings =>
  Object.assign({}, ...questions.map((question) => tossQuestions[question].begin(child))) as TossSettings;
