'use client';

import { Link2, Link2Off, Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { shortDay } from '@/core/base/day-words';
import { counted } from '@/core/base/words';
import { makeVowLinkAction, withdrawVowLinksAction } from '@/server/actions/vows';
import type { PlayerVowsView } from '@/server/views/vows';
import { PlayerTabs } from '@/features/players/player-tabs';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { FileButton } from '@/ui/file-button';
import { PageHead, Sheet } from '@/ui/page-head';
import { StageBall } from '@/ui/stage-ball';
import { useNotice } from '@/ui/toast';
import { HomeCard } from './home-card';
import { QrCode } from './card-sheet';
import { ReachNote } from '@/features/access/reach-note';
import { useReach } from '@/features/access/use-reach';
import { VowRow } from './vow-row';

/** A player’s vows: what they promised, what it comes to with their sessions, their home, and what their family has. */
export function PlayerVowsPage({ view }: { readonly view: PlayerVowsView }) {
  const { facts, lines, today, over, weeks } = view;
  const router = useRouter();
  return (
    <>
      <PageHead
        title={
          <span className="flex items-center gap-3">
            <StageBall stage={facts.stage} sport={facts.sport} /> {facts.name}
          </span>
        }
        actions={
          !view.removed && (
            <ButtonLink look="now" href={`/vows/new?player=${facts.id}&from=/players/${facts.id}/vows`}>
              <Plus aria-hidden size={18} /> Make a vow
            </ButtonLink>
          )
        }
      >
        {facts.focus ? (
          <>
            Working on: <strong className="text-ink">{facts.focus}</strong>
          </>
        ) : (
          `${facts.age} years · ${facts.sport}`
        )}
      </PageHead>
      <PlayerTabs id={facts.id} here="Vows" />
      <div className="grid items-start gap-4 xl:grid-cols-[1fr_20rem]">
        <div>
          {over.map((text) => (
            <p key={text} className="mb-2 rounded-md bg-care-bg px-3 py-2 text-care">
              {text}
            </p>
          ))}
          {lines.length === 0 && (
            <p className="text-soft">
              {facts.name} has promised nothing yet. A few minutes a day of one drill is a good first vow.
            </p>
          )}
          <ul className="space-y-2">
            {lines.map((line) => (
              <VowRow key={line.id} line={line} today={today} named={false} />
            ))}
          </ul>
        </div>
        <div className="space-y-4">
          {weeks.length > 0 && (
            <Sheet className="p-4" aria-label="Weeks ahead">
              <h2 className="text-lg">Weeks ahead</h2>
              <p className="text-sm text-soft">Minutes at home and on court, good ones at home.</p>
              <table className="w-full text-sm">
                <thead>
                  <tr className="text-left text-soft">
                    <th className="font-normal">From</th>
                    <th className="text-right font-normal">Home</th>
                    <th className="text-right font-normal">Court</th>
                    <th className="text-right font-normal">Good</th>
                  </tr>
                </thead>
                <tbody className="tabular">
                  {weeks.map(({ monday, homeMin, courtMin, good }) => (
                    <tr key={monday} className="border-t border-line">
                      <td>{shortDay(monday)}</td>
                      <td className="text-right">{homeMin}</td>
                      <td className="text-right">{courtMin}</td>
                      <td className="text-right">{good}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Sheet>
          )}
          <Taken view={view} />
          <HomeCard
            playerId={facts.id}
            home={view.home}
            said={view.homeSaid}
            onSaved={() => router.refresh()}
          />
        </div>
      </div>
    </>
  );
}

/** What the family takes home besides the card: a link, an address for a calendar, a file. */
function Taken({ view: { facts, links } }: { view: PlayerVowsView }) {
  const notice = useNotice();
  const [token, setToken] = useState<string | null>(null);
  const reached = useReach();
  const link = token && `${reached.base}/vow/${token}`;
  const make = async () => {
    const outcome = await ask(() => makeVowLinkAction(facts.id, { name: '' }));
    if (outcome.ok) setToken(outcome.value.token);
    else notice({ text: problemsText(outcome), tone: 'stop' });
  };
  const withdraw = async () => {
    const outcome = await ask(() => withdrawVowLinksAction(facts.id));
    if (outcome.ok) setToken(null);
    notice(
      outcome.ok
        ? { text: 'Every link and file is withdrawn. What was counted stays.' }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Sheet className="p-4" aria-label="For home">
      <h2 className="text-lg">For home</h2>
      <p className="text-sm text-soft">
        {links === 0 ? 'No link is open.' : `${counted(links, 'link')} open.`} Each shows {facts.name}’s vows
        and nothing else.
      </p>
      <div className="my-2">
        <ReachNote
          reached={reached}
          instead="“As one file” works on any phone without this computer, and a printed card needs no phone."
        />
      </div>
      {link && (
        <div className="my-2 space-y-2 text-sm">
          <p className="break-all" data-link>
            <a href={link} className="font-mono underline">
              {link}
            </a>
          </p>
          <p className="break-all">
            For a calendar: <span className="font-mono">{link.replace('/vow/', '/calendar/')}</span>
          </p>
          <QrCode link={link} />
        </div>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => void make()}>
          <Link2 aria-hidden size={18} /> Make a link
        </Button>
        <FileButton address={`/players/${facts.id}/vow-file`} name="vow.html" fields={{}}>
          As one file
        </FileButton>
        {(links > 0 || link) && (
          <Button look="stop" onClick={() => void withdraw()}>
            <Link2Off aria-hidden size={18} /> Withdraw all
          </Button>
        )}
      </div>
    </Sheet>
  );
}
