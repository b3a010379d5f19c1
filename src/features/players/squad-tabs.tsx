import { Tabs } from '@/ui/tabs';

const rooms = [
  ['/squad', 'Everyone'],
  ['/squad/needs', 'Who needs you'],
  ['/squad/challenges', 'Challenges'],
] as const;

/** The rooms of the squad. */
export const SquadTabs = ({ here }: { readonly here: (typeof rooms)[number][1] }) => (
  <Tabs label="Squad" rooms={rooms} here={here} />
);
