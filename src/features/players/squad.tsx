import { Link } from '@/ui/link';
import { counted } from '@/core/base/words';
import { FilterBar } from '@/features/plan/sessions/filter-bar';
import { removePlayerAction } from '@/server/actions';
import type { SquadView } from '@/server/views/squad';
import { shortDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { StageBall } from '@/ui/stage-ball';
import { TakenOffList } from '@/ui/taken-off';
import { AddPlayer } from './add-player';
import { SquadTabs } from './squad-tabs';
import { SquadTouches } from './squad-touches';

/** Everybody, with what they are working on and what they did in the last four weeks. */
export function Squad({ view }: { view: SquadView }) {
  return (
    <>
      <PageHead title="Squad" actions={<AddPlayer year={view.year} />}>
        {view.players.length === view.all
          ? counted(view.all, 'player')
          : `${view.players.length} of ${counted(view.all, 'player')}`}
        . Sessions and touches are of the last four weeks.
      </PageHead>
      {view.all > 0 && <SquadTabs here="Everyone" />}
      {view.all > 0 && <FilterBar path="/squad" filter={view.filter} choices={view.choices} />}
      <Sheet>
        {view.players.length === 0 ? (
          <p className="p-5 text-soft">
            {view.all === 0
              ? 'Your players stand here. Press “Add a player” to begin.'
              : 'Nobody is like that. Choose “Show all” to see everybody.'}
          </p>
        ) : (
          <table className="w-full text-left">
            <thead>
              <tr className="border-b-2 border-ink text-sm">
                <th scope="col" className="py-2 pl-4">
                  Player
                </th>
                <th scope="col">Age</th>
                <th scope="col" className="hidden sm:table-cell">
                  Plays
                </th>
                <th scope="col">Working on</th>
                <th scope="col" className="hidden text-right sm:table-cell">
                  Sessions
                </th>
                <th scope="col" className="text-right">
                  Touches
                </th>
                <th scope="col" className="pr-4 text-right">
                  Last here
                </th>
              </tr>
            </thead>
            <tbody>
              {view.players.map((player) => (
                <tr key={player.id} className="border-b border-line last:border-0">
                  <th scope="row" className="py-2 pl-4 font-semibold">
                    <span className="flex items-center gap-3">
                      <StageBall stage={player.stage} sport={player.sport} />
                      <Link
                        href={`/players/${player.id}`}
                        className="inline-flex min-h-8 touch:min-h-11 items-center underline-offset-4 hover:underline"
                      >
                        {player.name}
                      </Link>
                    </span>
                  </th>
                  <td className="tabular">{player.age}</td>
                  <td className="hidden sm:table-cell">
                    {player.sport}, {player.hand}-handed
                  </td>
                  <td className="max-w-80 py-1.5 pr-2">
                    {player.focus}
                    {player.careNote && (
                      <span className="mt-0.5 block rounded-sm bg-care-bg px-2 text-sm text-care">
                        <strong>Care:</strong> {player.careNote}
                      </span>
                    )}
                  </td>
                  <td className="tabular hidden text-right sm:table-cell">{player.sessions}</td>
                  <td className="text-right">
                    <SquadTouches touches={player.touches} days={player.days} name={player.name} />
                  </td>
                  <td className="tabular pr-4 text-right">
                    {player.lastDay ? shortDay(player.lastDay) : 'not yet'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Sheet>
      <TakenOffList items={view.takenOff} setRemoved={removePlayerAction} />
    </>
  );
}
