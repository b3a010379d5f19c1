import { Ear } from 'lucide-react';
import { SideButton, type SideProps } from '../side-button';

/** For what the device hears itself. */
export const EarButton = ({ name, ...rest }: SideProps) => (
  <SideButton label={`${name}: count by ear`} {...rest}>
    <Ear aria-hidden size={22} /> By ear
  </SideButton>
);
