import { Ear } from 'lucide-react';
import { hearingOf } from '@/session/court/hearing';
import type { EarOffer } from '../court-grid';
import { SideButton, type SideProps } from '../side-button';

/** For what the device hears itself. */
const EarButton = ({ name, ...rest }: SideProps) => (
  <SideButton label={`${name}: count by ear`} {...rest}>
    <Ear aria-hidden size={22} /> By ear
  </SideButton>
);

const hears: EarOffer['hears'] = (drill, step) => hearingOf(drill, step) !== null;

/** Counting by ear, offered block by block where a step can be heard; the same offer for a block every time. */
export function offersOf(open: (blockId: string, playerId: string) => void): (blockId: string) => EarOffer {
  const made = new Map<string, EarOffer>();
  return (blockId) => {
    const known = made.get(blockId);
    if (known) return known;
    const offer = { hears, tile: { Button: EarButton, open: (playerId: string) => open(blockId, playerId) } };
    made.set(blockId, offer);
    return offer;
  };
}
