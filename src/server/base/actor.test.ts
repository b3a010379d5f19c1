import { sql } from 'drizzle-orm';
import { actorOf, signatureOf } from './actor';
import { decide } from '../plan/decisions';
import { ingestTouches } from '../court/ingest';
import { sayAttendance } from '../plan/attendance';
import { correctDay } from '../plan/correct';
import { eventsOf, ids, oneBlockSession, scratch, value } from '../testing/scratch';

test('without anybody named it is the session’s coach, who signs nothing', () => {
  expect(actorOf({})).toEqual({ kind: 'coach', name: '', role: 'owner', id: null });
  expect(signatureOf({})).toBeNull();
  expect(signatureOf({ actor: { kind: 'helper', name: 'Bram (helper)', sign: 'help-' } })).toBe(
    'Bram (helper)',
  );
});

test('what is decided, said and corrected carries who did it', async () => {
  const box = await scratch();
  const at = await oneBlockSession(box.context);
  const [playerId] = at.playerIds;
  const context = {
    ...box.context,
    actor: { kind: 'coach', name: 'Ottilie', role: 'coach', id: 'x' } as const,
  };
  const events = eventsOf('xxx-', at.block.id, playerId!, ids(3));
  value(await ingestTouches(context, { events }));
  // The same marks again, from a tablet another coach signed in on meanwhile: nothing changes hands.
  const other = { ...context, actor: { ...context.actor, name: 'Sefa' } };
  expect(value(await ingestTouches(other, { events }))).toEqual({ stored: 0 });
  value(await decide(context, [{ blockId: at.block.id, playerId, verdict: 'hold', target: 4 }]));
  value(await sayAttendance(context, at.sessionId, { playerIds: [playerId], attendance: 'late' }));
  value(await correctDay(context, at.sessionId, { day: '2026-11-23' }));
  const by = async (query: ReturnType<typeof sql>) =>
    (await context.db.all<{ by: string }>(query)).map((row) => row.by);
  expect(await by(sql`select by from decision`)).toEqual(['Ottilie']);
  expect(await by(sql`select attendance_by as by from session_player where attendance = 'late'`)).toEqual([
    'Ottilie',
  ]);
  expect(new Set(await by(sql`select by from touch_event where kind in ('touch', 'correct')`))).toEqual(
    new Set(['Ottilie']),
  );
  box.close();
});
