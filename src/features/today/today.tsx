'use client';

import { ArrowRight, ClipboardList, Play } from 'lucide-react';
import { Link } from '@/ui/link';
import { WhoIsHere } from '@/features/plan/sessions/attendance';
import { attendanceWords } from '@/features/plan/sessions/attendance-words';
import { NewSession } from '@/features/plan/sessions/new-session';
import { WhatHappened } from '@/features/plan/sessions/what-happened';
import { SessionLines } from '@/features/plan/sessions/session-lines';
import type { ComingPlayer, TodaySession, TodayView } from '@/server/views/today';
import { ButtonLink } from '@/ui/button-link';
import { longDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { counted } from '@/core/base/words';
import { PlanRoom } from '@/features/plan/plan-room';
import { StageBall } from '@/ui/stage-ball';
import { Tape } from '@/ui/tape';
import { ComingTarget } from './coming-target';
import { FirstRun } from './first-run';

/** What is on today, who is coming, and the way on court. */
export function Today({ view }: { view: TodayView }) {
  if (view.squad.length === 0 && view.start) return <FirstRun view={view} start={view.start} />;
  return (
    <>
      {view.start && <FirstRun view={view} start={view.start} />}
      <PageHead title={longDay(view.today)} actions={<NewSession today={view.today} squad={view.squad} />}>
        {view.sessions.length === 0
          ? 'Nothing is booked today.'
          : `${counted(view.sessions.length, 'session')} today.`}
      </PageHead>
      <div className="space-y-4">
        <WhatHappened lines={view.unsaid} />
        {view.sessions.map((session) => (
          <SessionToday key={session.id} session={session} />
        ))}
        {view.sessions.length === 0 && (
          <Sheet className="p-5 text-soft">
            Today’s sessions stand here, with their tape and who is coming. Press “Plan a session” to book
            one.
          </Sheet>
        )}
        <FromHome lines={view.fromHome} />
        <div className="grid gap-4 md:grid-cols-2">
          <SessionLines
            title="Coming up"
            today={view.today}
            lines={view.next}
            empty="Nothing is booked for the next two weeks."
          />
          <SessionLines
            title="Last sessions"
            today={view.today}
            lines={view.last}
            empty="No session has been held yet."
          />
        </div>
      </div>
    </>
  );
}

/** What the children did at home since the last session. */
function FromHome({ lines }: { lines: TodayView['fromHome'] }) {
  if (lines.length === 0) return null;
  return (
    <Sheet className="p-4" aria-label="From home">
      <h2 className="text-lg">
        <Link href="/vows" className="hit underline-offset-4 hover:underline">
          From home since the last session
        </Link>
      </h2>
      <ul className="mt-1 grid gap-x-6 text-sm sm:grid-cols-2 lg:grid-cols-3">
        {lines.map(({ playerId, name, days, touches, text }) => (
          <li key={playerId} className="py-0.5">
            <Link href={`/players/${playerId}/vows`} className="hit font-semibold hover:underline">
              {name}
            </Link>
            : {counted(days, 'day')}, {counted(touches, 'good one')}
            {text && <span className="text-soft"> “{text}”</span>}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

const actions = {
  planned: { href: 'run', text: 'Start session', icon: Play },
  running: { href: 'run', text: 'Back on court', icon: ArrowRight },
  finished: { href: 'review', text: 'Review', icon: ClipboardList },
} as const;

function SessionToday({ session }: { session: TodaySession }) {
  const empty = session.blockCount === 0;
  const action = actions[session.state];
  const { totalS, bookedS, blocks } = session.time;
  const { titles } = session;
  return (
    <Sheet className="p-4" aria-label={session.title}>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h2 className="text-xl">
            <span className="tabular">{session.startTime}</span> {session.title}
          </h2>
          <p className="text-soft">
            {[session.placeName, session.coach].filter(Boolean).join(' · ')}
            {!empty && (
              <>
                {' · '}
                <PlanRoom time={session.time} titles={titles} />
              </>
            )}
          </p>
        </div>
        <div className="flex flex-wrap gap-2 [&>*]:whitespace-nowrap">
          <WhoIsHere
            sessionId={session.id}
            players={session.coming}
            said={Object.fromEntries(
              session.coming.flatMap(({ id, attendance }) => (attendance ? [[id, attendance]] : [])),
            )}
          />
          <ButtonLink href={`/sessions/${session.id}/plan`}>Open plan</ButtonLink>
          {!empty && (
            <ButtonLink look="now" href={`/sessions/${session.id}/${action.href}`}>
              <action.icon aria-hidden size={18} /> {action.text}
            </ButtonLink>
          )}
        </div>
      </div>
      <div className="mt-3">
        {empty ? (
          <p>The plan is empty: open it and add the first block.</p>
        ) : (
          <Tape blocks={blocks} titles={titles} totalS={totalS} bookedS={bookedS} />
        )}
      </div>
      <ul aria-label="Who is coming" className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
        {session.coming.map((player) => (
          <Coming key={player.id} player={player} />
        ))}
      </ul>
    </Sheet>
  );
}

function Coming({ player }: { player: ComingPlayer }) {
  return (
    <li className="flex min-w-0 items-center gap-2 touch:min-h-11">
      <StageBall small stage={player.stage} sport={player.sport} />
      <span className="min-w-0">
        <Link
          href={`/players/${player.id}`}
          className="hit z-1 font-semibold underline-offset-4 hover:underline"
        >
          {player.name}
        </Link>
        <span className="text-soft"> {player.age}</span>
        {player.careNote && (
          <span
            title={player.careNote}
            className="ml-1 rounded-sm bg-care-bg px-1 text-sm font-bold text-care"
          >
            Care
          </span>
        )}
        {player.attendance && player.attendance !== 'here' && (
          <span className="ml-1 rounded-sm bg-chalk px-1 text-sm font-bold">
            {attendanceWords[player.attendance]}
          </span>
        )}
        {player.target && <ComingTarget {...player.target} />}
      </span>
    </li>
  );
}
