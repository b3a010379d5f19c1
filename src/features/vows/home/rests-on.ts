import type { HomeVow } from '@/session/vows/home-view';

/** Whether a vow rests on a day, local ISO. */
export const restsOn = ({ rests }: HomeVow, day: string): boolean =>
  rests.some(([from, until]) => day >= from && (until === null || day <= until));
