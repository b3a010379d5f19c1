import { Plus } from 'lucide-react';
import { Link } from '@/ui/link';
import type { Book } from '@/drills';
import type { SessionReviewView } from '@/server/views/session-review';
import { Sheet } from '@/ui/page-head';

/** The last step of a review: a vow for each child, from a step they were proposed that fits at their home. */
export function ReviewVows({ view, book }: { readonly view: SessionReviewView; readonly book: Book }) {
  const { vows, players, session } = view;
  if (vows.length === 0) return null;
  return (
    <Sheet className="p-3" aria-label="Vows until the next time">
      <h2 className="text-lg">Vows until the next time</h2>
      <ul className="mt-1">
        {vows.map(({ playerId, drillId, stepId }) => {
          const player = players.find(({ id }) => id === playerId);
          const step = book.step(drillId, stepId, playerId);
          if (!player || !step) return null;
          const query = new URLSearchParams({
            player: playerId,
            drill: drillId,
            step: stepId,
            from: `/sessions/${session.id}/review`,
          });
          return (
            <li key={playerId} className="border-t border-line first:border-t-0">
              <Link
                href={`/vows/new?${query.toString()}`}
                className="flex min-h-11 items-center gap-2 py-1 text-sm hover:bg-chalk"
              >
                <Plus aria-hidden size={16} className="shrink-0" />
                <span>
                  <span className="font-semibold">{player.name}</span>: {book.drill(drillId)?.title},{' '}
                  {step.title.toLowerCase()}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
