import type { TouchEvent } from './event';

/** Is a mark a whole pass of a sequence, counted with one press? Parts of laps are touches of less than one. */
export const isPass = ({ kind, value }: Pick<TouchEvent, 'kind' | 'value'>): boolean =>
  kind === 'touch' && value !== null && value > 1;

/** How many touches a mark is: one, or the strokes of a whole pass. */
export const touchesOf = (event: Pick<TouchEvent, 'kind' | 'value'>): number =>
  isPass(event) ? Math.round(event.value!) : 1;
