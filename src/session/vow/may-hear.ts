import type { HomeView } from './home-view';

/** Whether anything of a child's vows may be counted by ear. */
export const mayHear = ({ vows }: Pick<HomeView, 'vows'>): boolean =>
  vows.some(({ ears }) => ears.some((part) => Object.keys(part).length > 0));
