import { NewSession } from './new-session';
import { removeSessionAction } from '@/server/actions';
import type { SessionsView } from '@/server/views/sessions';
import { ButtonLink } from '@/ui/button-link';
import { PageHead } from '@/ui/page-head';
import { TakenOffList } from '@/ui/taken-off';
import { WhatHappened } from './what-happened';
import { filterQuery, isOpen } from '@/core/base/filter';
import { FilterBar } from './filter-bar';
import { Patterns } from './patterns';
import { SessionLines } from './session-lines';

/** All sessions: what is to come, and what has been. */
export function Sessions({ view }: { view: SessionsView }) {
  const { page, more } = view;
  const open = isOpen(view.filter);
  return (
    <>
      <PageHead
        title="Sessions"
        actions={
          <>
            <ButtonLink href="/courses">Courses</ButtonLink>
            <NewSession today={view.today} squad={view.squad} />
          </>
        }
      >
        Plans to come, and reviews of what was held.
      </PageHead>
      <FilterBar path="/sessions" filter={view.filter} choices={view.choices} />
      <WhatHappened lines={view.unsaid} />
      <div className="mt-4 grid items-start gap-4 first:mt-0 lg:grid-cols-2">
        <SessionLines
          title="To come"
          today={view.today}
          lines={view.coming}
          empty={open ? 'Nothing is booked. Press “Plan a session”.' : 'Nothing like that is booked.'}
        />
        <div className="space-y-2">
          <SessionLines
            title="Past"
            today={view.today}
            lines={view.past}
            empty={open ? 'Sessions you have held stand here.' : 'Nothing like that was held.'}
          />
          <nav aria-label="Pages of held sessions" className="flex justify-between">
            {page > 0 ? (
              <ButtonLink href={`/sessions?${filterQuery({ ...view.filter, page: page - 1 })}`}>
                Newer
              </ButtonLink>
            ) : (
              <span />
            )}
            {more && (
              <ButtonLink href={`/sessions?${filterQuery({ ...view.filter, page: page + 1 })}`}>
                Older
              </ButtonLink>
            )}
          </nav>
        </div>
      </div>
      <Patterns patterns={view.patterns} today={view.today} squad={view.squad} />
      <TakenOffList items={view.takenOff} setRemoved={removeSessionAction} />
    </>
  );
}
