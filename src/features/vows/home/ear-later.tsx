import type { ReactNode } from 'react';
import type { EarSources } from '@/court/ear';
import { usePart } from '@/ui/use-part';
import type { StepEar } from '@/session/vows/ears';
import type { ByEarProps } from './count-by-ear';

/** Fetches what counting by ear is made of, when it is asked for; the same function every time. */
export type LoadEar = () => Promise<{
  readonly CountByEar: (props: ByEarProps) => ReactNode;
  readonly sources: EarSources;
}>;

/** What a part of today is given where it may be counted by ear. */
export interface PartEar {
  readonly step: StepEar;
  readonly load: LoadEar;
}

export function ByEarLater({ load, ...rest }: Omit<ByEarProps, 'sources'> & Pick<PartEar, 'load'>) {
  const part = usePart(load);
  return part ? <part.CountByEar sources={part.sources} {...rest} /> : <p role="status">Fetching the ear…</p>;
}
