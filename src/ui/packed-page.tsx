'use client';

import { useMemo, type ComponentType } from 'react';
import { HouseProvider, type House } from './house';
import { unpack, type Packed } from './packed';

export interface Page<V> {
  readonly view: V;
  readonly house: House;
}

/** A screen that is given its view, and the drills it shows, as one text (see {@link Packed}). */
export function packedPage<V, Rest extends object = object>(Screen: ComponentType<{ view: V } & Rest>) {
  return function PackedPage({ page, ...rest }: { readonly page: Packed<Page<V>> } & Rest) {
    const { view, house } = useMemo(() => unpack(page), [page]);
    return (
      <HouseProvider house={house}>
        <Screen view={view} {...(rest as unknown as Rest)} />
      </HouseProvider>
    );
  };
}
