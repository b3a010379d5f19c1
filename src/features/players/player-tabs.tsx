import { Tabs } from '@/ui/tabs';

interface Props {
  readonly id: string;
  readonly here: 'Ladders' | 'Progress' | 'Vows';
}

/** The rooms of a player. */
export const PlayerTabs = ({ id, here }: Props) => (
  <Tabs
    label="Player"
    here={here}
    rooms={[
      [`/players/${id}`, 'Ladders'],
      [`/players/${id}/progress`, 'Progress'],
      [`/players/${id}/vows`, 'Vows'],
    ]}
  />
);
