'use client';

import { useMemo, useState } from 'react';
import { kitAtHand } from '@/drills/base/kit';
import { fitsHere } from '@/core/venues/fits';
import { removePlaceAction } from '@/server/actions';
import type { KnownPlace } from '@/server/views/facts';
import type { PlacesView } from '@/server/views/places';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useWholeBook } from '@/ui/whole-book';
import { PageHead, Sheet } from '@/ui/page-head';
import { TakenOffList } from '@/ui/taken-off';
import { AddPlace } from './add-place';
import { FloorDrawing } from './floor-drawing';
import { KitTable } from './kit-table';
import { PlaceFields } from './place-form';
import { RemovePlace } from './remove-place';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { useUnits } from '@/ui/units';

/** Where you train and with what: every drill is looked at against it. */
export function Places({ view }: { view: PlacesView }) {
  return (
    <>
      <PageHead title="Places and kit" actions={<AddPlace />}>
        Every drill says whether it fits here, and what stands in when something is missing.
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <div className="space-y-3">
          {view.places.length === 0 && (
            <Sheet className="p-5 text-soft">
              Your halls, yards and walls stand here. Press “Add a place” to describe the first one.
            </Sheet>
          )}
          {view.places.map((place) => (
            <PlaceSheet key={place.id} place={place} kit={view.kit} />
          ))}
        </div>
        <KitTable kit={view.kit} />
      </div>
      <TakenOffList items={view.takenOff} setRemoved={removePlaceAction} />
    </>
  );
}

/** A group to try the drills with: ours. */
const group = 4;

function PlaceSheet({ place, kit }: { place: KnownPlace; kit: PlacesView['kit'] }) {
  const [open, setOpen] = useState(false);
  const { length, say } = useUnits();
  const book = useWholeBook();
  const fits = useMemo(() => {
    const atHand = kitAtHand(kit);
    const all = book.drills.map(
      (drill) => fitsHere(drill, Math.max(group, drill.players.min), 1, place, atHand).verdict,
    );
    return {
      whole: all.filter((one) => one === 'fits').length,
      standIn: all.filter((one) => one === 'stand-in').length,
    };
  }, [book, kit, place]);
  const about = [
    say(`${place.lengthM} x ${place.widthM} m`),
    place.ceilingM === null ? 'under the sky' : `${length(place.ceilingM)} clear`,
    place.surface,
    place.wallM > 0 ? `${length(place.wallM)} of wall that may be hit` : 'no wall to hit',
    place.tables > 0 && `${place.tables} tables`,
    place.quietFrom && `quiet from ${place.quietFrom} to ${place.quietTo}`,
  ].filter(Boolean);
  return (
    <Sheet className="flex flex-wrap items-center gap-4 p-3" aria-label={place.name}>
      <DrawingToTake name="floor">
        <FloorDrawing place={place} />
      </DrawingToTake>
      <div className="min-w-64 flex-1">
        <h2 className="text-xl">{place.name}</h2>
        <p>{about.join(' · ')}</p>
        {place.hazards.length > 0 && (
          <p className="text-sm text-care">Watch out for: {place.hazards.join(', ')}.</p>
        )}
        <p className="text-sm text-soft">
          With {group} players {fits.whole} drills fit, {fits.standIn} more with a stand-in, of{' '}
          {book.drills.length}.
        </p>
      </div>
      <div className="flex">
        <Button onClick={() => setOpen(true)}>
          Change <span className="sr-only">{place.name}</span>
        </Button>
        <RemovePlace id={place.id} name={place.name} />
      </div>
      <Dialog open={open} onOpenChange={setOpen} title={place.name}>
        <PlaceFields place={place} onDone={() => setOpen(false)} />
      </Dialog>
    </Sheet>
  );
}
