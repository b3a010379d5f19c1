import { plainBook } from '@/drills';
import { isoDay } from '@/core/base/days';
import { familyView } from '@/server/views/family';
import { needsView } from '@/server/views/needs';
import { progressView } from '@/server/views/progress';
import { sessionReviewView } from '@/server/views/session-review';
import { sessionsView } from '@/server/views/sessions';
import { squadView } from '@/server/views/squad';
import type { Context } from '@/server/base/context';
import {
  changeWords,
  countsOnWords,
  curveWords,
  forecastWords,
  luckWords,
  oddsWords,
  rowsInWords,
  transferWords,
} from '@/session/skill/progress-words';
import { demoScratch } from './testing/demo-scratch';

/* Judgement on five weeks of the demo: what screens say, and that they say the same. */
let context: Context;
let close: () => void;
beforeAll(async () => {
  ({ context, close } = await demoScratch(5));
}, 60_000);
afterAll(() => close());
const everybody = async () => (await squadView(context)).players;

test('progress: every ladder with its four schools, chances between nothing and sure, ranges about them', async () => {
  for (const { id } of await everybody()) {
    const view = (await progressView(context, id))!;
    expect(view.ladders.length).toBeGreaterThan(3);
    for (const { odds, progress, schools } of view.ladders) {
      expect(schools.all.map(({ school }) => school)).toEqual(['row', 'clock', 'best', 'sweet']);
      if (!odds || !progress) continue;
      expect(odds.chance).toBeGreaterThanOrEqual(0);
      expect(odds.high).toBeLessThanOrEqual(1);
      expect(odds.low).toBeLessThanOrEqual(odds.high);
      for (const { low, level, high } of [...progress.past, ...progress.fan]) {
        expect(low).toBeLessThanOrEqual(level);
        expect(level).toBeLessThanOrEqual(high);
      }
      const days = progress.days;
      expect([...days].sort((a, b) => a - b)).toEqual(days);
      const { early, middle, late } = progress.forecast!;
      if (middle !== null) expect(early!).toBeLessThanOrEqual(middle);
      if (late !== null) expect(middle!).toBeLessThanOrEqual(late);
    }
  }
});

test('what a forecast counts on are the sessions really planned, then the rhythm', async () => {
  const nessa = (await everybody()).find(({ name }) => name.startsWith('Nessa'))!;
  const { ladders } = (await progressView(context, nessa.id))!;
  const planned = ladders.find(({ drillId }) => drillId === 'clap-and-catch')!.progress!;
  expect(planned.planned).toBe(1);
  expect(countsOnWords(planned)).toMatch(
    /^Counts on 1 planned day, then on the rhythm of the last five weeks, with about \d+ attempts? a day\.$/,
  );
});

test('the family’s words say the same numbers as the coach’s page, and compare with nobody', async () => {
  const all = await everybody();
  for (const { id, name } of all) {
    const view = (await familyView(context, id))!;
    const { ladders } = (await progressView(context, id))!;
    // What the family is told of a step to come is what the coach's page says of it.
    const told = view.next.map(({ step, mark, likely }) => [step, mark, likely]);
    const shown = ladders.flatMap(({ drillId, stepId, mark, progress }) => {
      const middle = progress?.forecast?.middle ?? null;
      const step = plainBook.step(drillId, stepId)!.title;
      return [[step, mark.result, middle === null ? null : isoDay(middle)]];
    });
    for (const one of told) expect(shown).toContainEqual(one);
    // Nor that they moved up to a step above the one they stand on.
    for (const { drill, step } of view.movedUp) {
      const { id: drillId, steps } = plainBook.drills.find(({ title }) => title === drill)!;
      const stands = ladders.find((one) => one.drillId === drillId)?.stepId;
      if (!stands) continue;
      const at = (is: (one: (typeof steps)[number]) => boolean) => steps.findIndex(is);
      expect(at((one) => one.title === step)).toBeLessThanOrEqual(at((one) => one.id === stands));
    }
    expect(
      view.better.every(({ was, is, measure }) =>
        measure === 'lap' || measure === 'steadiness' ? is < was : is > was,
      ),
    ).toBe(true);
    const text = JSON.stringify(view);
    for (const other of all) if (other.name !== name) expect(text).not.toContain(other.name.split(' ')[0]);
  }
  expect(await familyView(context, 'nobody')).toBeNull();
  expect(await progressView(context, 'nobody')).toBeNull();
});

test('who needs you: the two who fudge are found, nobody else is, and every sentence names its evidence', async () => {
  const view = await needsView(context);
  const { needs } = view;
  const nameOf = (id: string) => view.players.find((player) => player.id === id)!.name;
  const found = needs.filter(({ kind }) => kind === 'counting').map(({ playerId }) => nameOf(playerId));
  expect([...new Set(found)].sort()).toEqual(['Corin Oakhaven', 'Teo Windlestraw']);
  // Each leads to the sessions where it was: on court they can be corrected.
  for (const { doubt, blockIds = [] } of needs.filter(({ kind }) => kind === 'counting')) {
    expect([doubt, blockIds.length]).toEqual([doubt, 3]);
    for (const id of blockIds) expect(view.sessions[id]).toHaveProperty('title');
  }
  expect(needs.some(({ kind }) => kind === 'ready to move')).toBe(true);
  for (const { sentence } of needs) expect(sentence).toMatch(/\d.*\.$/);
  for (const { drillIds } of Object.values(view.next)) expect(drillIds.length).toBeGreaterThan(3);
});

test('a review proposes what progress says, where nothing was counted since', async () => {
  const { past } = await sessionsView(context, 0);
  const last = past.find(({ state }) => state === 'finished')!;
  const review = (await sessionReviewView(context, last.id))!;
  let compared = 0;
  for (const { drillId, lines } of review.blocks)
    for (const { playerId, stepId, schools } of lines) {
      const own = (await progressView(context, playerId, drillId))!.ladders.find(
        (line) => line.drillId === drillId && line.stepId === stepId && line.lastDay === last.day,
      );
      if (!own) continue;
      compared += 1;
      const said = ({ all }: typeof schools) => all.map(({ school, verdict }) => `${school} ${verdict}`);
      expect(said(own.schools)).toEqual(said(schools));
    }
  expect(compared).toBeGreaterThan(10);
});

test('everything is said in whole sentences', async () => {
  for (const { id } of (await everybody()).slice(0, 4)) {
    const { ladders, transfer } = (await progressView(context, id))!;
    expect(transferWords(transfer)).toMatch(/\.$/);
    for (const { progress, odds } of ladders) {
      if (odds) expect(oddsWords(odds)).toMatch(/ of days \(.* to .*\)$/);
      if (!progress) continue;
      for (const [what, says] of progress.rows ? rowsInWords(progress.rows, 8) : []) {
        expect(what).toMatch(/[a-z]/);
        // A number, or how often in words.
        expect(says).toMatch(/\d|once in|in most|in about every second|less than once/);
        expect(says).not.toMatch(/NaN|Infinity/);
      }
      for (const words of [
        forecastWords(progress),
        countsOnWords(progress),
        changeWords(progress),
        luckWords(progress),
        curveWords(progress),
      ])
        if (words !== null) expect(words).toMatch(/^[A-Z2].*\.$/);
    }
  }
});
