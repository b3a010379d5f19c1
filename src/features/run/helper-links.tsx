'use client';

import { useState } from 'react';
import { makeHelperLinkAction, withdrawHelperLinksAction } from '@/server/actions';
import type { PlayerFacts } from '@/server/views/facts';
import { ask, problemsText } from '@/ui/ask';
import { Chip, ChipRow } from './chip';

interface Props {
  readonly sessionId: string;
  readonly players: readonly PlayerFacts[];
}

const intoView = (box: HTMLElement | null) => box?.scrollIntoView?.({ block: 'nearest' });

/** Whom a link counts: a child, or everybody in the session. */
interface Counted {
  readonly id: string | null;
  readonly name: string;
}
const everybody: Counted = { id: null, name: 'everybody' };

/** A link lets a helper count on their own phone. Making a new one for the same ends the old one. */
export function HelperLinks({ sessionId, players }: Props) {
  const [link, setLink] = useState<{ of: Counted; url: string; signed: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [name, setName] = useState('');
  const make = async (player: Counted) => {
    const outcome = await ask(() => makeHelperLinkAction(sessionId, player.id, { name }));
    if (!outcome.ok) return setSaid(problemsText(outcome));
    setSaid(null);
    setLink({
      of: player,
      url: `${location.origin}/help/${outcome.value.token}`,
      signed: name.trim() ? `${name.trim()} (helper)` : 'Helper',
    });
  };
  const withdraw = async (player: Counted) => {
    const outcome = await ask(() => withdrawHelperLinksAction(sessionId, player.id));
    if (link?.of.id === player.id) setLink(null);
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
      <ChipRow label="Helper for">
        {[...players, ...(players.length > 1 ? [everybody] : [])].map((player) => (
          <Chip
            key={player.id ?? ''}
            on={link !== null && link.of.id === player.id}
            label={`Link to count ${player.name}`}
            onPress={() => void make(player)}
          >
            {player.name}
          </Chip>
        ))}
      </ChipRow>
      {link && chosen && (
        <div
          key={link.url}
          ref={intoView}
          className="flex flex-wrap items-center gap-2 rounded-md border-2 border-line p-2"
        >
          <label className="min-w-0 flex-1">
            <span className="block text-sm text-soft">
              Open this on a helper’s phone: it counts {chosen.name}
              {chosen.id !== null && ' and shows nobody else'}, for twelve hours. Counts are signed{' '}
              {link.signed}.
            </span>
            <input
              readOnly
              data-helper-link
              aria-label={`Link to count ${chosen.name}`}
              value={link.url}
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
