'use client';

import { useState } from 'react';
import { makeHelperLinkAction, withdrawHelperLinksAction } from '@/server/actions';
import type { PlayerFacts } from '@/server/views/facts';
import { ask, problemsText } from '@/ui/ask';
import { ReachNote } from '@/features/access/reach-note';
import { useReach } from '@/features/access/use-reach';
import { Chip, ChipRow } from './chip';

interface Props {
  readonly sessionId: string;
  readonly players: readonly PlayerFacts[];
  /** Stations of circuits, where somebody may count whoever comes. */
  readonly stations: readonly { readonly blockId: string; readonly name: string }[];
}

const intoView = (box: HTMLElement | null) => box?.scrollIntoView?.({ block: 'nearest' });

/** Whom a link counts: a child, everybody in the session, or whoever comes to a station. */
interface Counted {
  readonly id: string | null;
  readonly blockId: string | null;
  readonly name: string;
}
const everybody: Counted = { id: null, blockId: null, name: 'everybody' };
const same = (a: Counted | undefined, b: Counted) => a?.id === b.id && a?.blockId === b.blockId;

/** A link lets a helper count on their own phone. Making a new one for the same ends the old one. */
export function HelperLinks({ sessionId, players, stations }: Props) {
  const [link, setLink] = useState<{ of: Counted; token: string; signed: string } | null>(null);
  const reached = useReach();
  const url = `${reached.base}/help/${link?.token}`;
  const [said, setSaid] = useState<string | null>(null);
  const [name, setName] = useState('');
  const make = async (player: Counted) => {
    const outcome = await ask(() =>
      makeHelperLinkAction(sessionId, player.id, { name, blockId: player.blockId }),
    );
    if (!outcome.ok) return setSaid(problemsText(outcome));
    setSaid(null);
    setLink({
      of: player,
      token: outcome.value.token,
      signed: name.trim() ? `${name.trim()} (helper)` : 'Helper',
    });
  };
  const withdraw = async (player: Counted) => {
    const outcome = await ask(() => withdrawHelperLinksAction(sessionId, player.id, player.blockId));
    if (same(link?.of, player)) setLink(null);
    setSaid(outcome.ok ? `The link for ${player.name} is withdrawn.` : problemsText(outcome));
  };
  const chosen = link?.of;
  return (
    <div className="space-y-2">
      <label className="flex items-center gap-2 font-semibold">
        <span className="w-20 text-base font-normal text-soft">Helper’s name</span>
        <input
          value={name}
          maxLength={40}
          placeholder="A parent, say; may stay empty"
          onChange={(event) => setName(event.target.value)}
          className="min-h-12 w-64 rounded-md border-2 border-edge bg-sheet px-3"
        />
      </label>
      <ReachNote reached={reached} instead="Here, another window of this browser can count." />
      <ChipRow label="Helper for">
        {[
          ...players.map<Counted>(({ id, name: whose }) => ({ id, blockId: null, name: whose })),
          ...(players.length > 1 ? [everybody] : []),
          ...stations.map<Counted>(({ blockId, name: where }) => ({ id: null, blockId, name: where })),
        ].map((player) => (
          <Chip
            key={player.id ?? player.blockId ?? ''}
            on={same(link?.of, player)}
            label={`Link to count ${player.name}`}
            onPress={() => void make(player)}
          >
            {player.name}
          </Chip>
        ))}
      </ChipRow>
      {link && chosen && (
        <div
          key={link.token}
          ref={intoView}
          className="flex flex-wrap items-center gap-2 rounded-md border-2 border-line p-2"
        >
          <label className="min-w-0 flex-1">
            <span className="block text-sm text-soft">
              Open this on a helper’s phone: it counts {chosen.name}
              {chosen.id !== null && ' and shows nobody else'}
              {chosen.blockId !== null && ', whoever comes there,'} for twelve hours. Counts are signed{' '}
              {link.signed}.
            </span>
            <input
              readOnly
              data-helper-link
              aria-label={`Link to count ${chosen.name}`}
              value={url}
              onFocus={(event) => event.target.select()}
              className="min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 text-sm"
            />
          </label>
          <Chip onPress={() => void withdraw(chosen)}>Withdraw</Chip>
        </div>
      )}
      {said && (
        <p role="status" className="text-sm">
          {said}
        </p>
      )}
    </div>
  );
}
