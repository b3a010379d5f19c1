import { Ear } from 'lucide-react';
import { hearingOf } from '@/session/hearing';
import type { EarOffer } from '../court-grid';
import { SideButton, type SideProps } from '../side-button';

/** For what the device hears itself. */
const EarButton = ({ name, ...rest }: SideProps) => (
  <SideButton label={`${name}: count by ear`} {...rest}>
    <Ear aria-hidden size={22} /> By ear
  </SideButton>
);

/** Counting by ear, offered on the tiles whose step can be heard. */
export const offerEar = (open: (playerId: string) => void): EarOffer => ({
  hears: (drill, step) => hearingOf(drill, step) !== null,
  tile: { Button: EarButton, open },
});
