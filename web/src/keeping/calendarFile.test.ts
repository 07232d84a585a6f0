import { Planner } from '@junctura/core/advice';
import { emptyPiece, type Piece } from '@junctura/core/piece';
import { readSvg } from '@junctura/core/drawing';
import { sittingDays, sittingsOf, type Plan } from '@junctura/core/thread';
import { USUAL_FACTORS } from '@junctura/core/work';
import ical from 'ical.js';
import { describe, expect, it } from 'vitest';
import { calendarFile } from './calendarFile.ts';

const NAME =
  'Star; sea, “weed”\nand a second line \\ with a name so long that it must be folded over several lines of seventy-five';

function planned(change: Partial<Piece> = {}): { piece: Piece; plan: Plan } {
  const discs = Array.from({ length: 9 }, (_, i) => `<circle cx="${30 * i}" cy="20" r="12" fill="#${i}a3"/>`).join('');
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" viewBox="0 0 300 300">${discs}</svg>`,
    'star',
    'x',
  );
  if (!read.ok) throw new Error(read.problem);
  const piece = { ...read.value, ...change };
  return { piece, plan: new Planner().plan(piece, USUAL_FACTORS).plan };
}

describe('the calendar file', () => {
  const { piece, plan } = planned({
    name: NAME,
    calendar: {
      days: [2, 5],
      at: '19:30',
      begin: '2026-12-28',
      doneBy: null,
      moved: [{ sitting: 2, on: '2027-01-09' }],
    },
  });
  const sittings = sittingsOf(piece, plan);
  const days = sittingDays(piece.calendar, piece.worker.sittingsPerWeek, sittings.length, '2026-11-29');
  const file = calendarFile(piece, plan, days);
  if (!file.ok) throw new Error(file.problem);

  it('has an event for each sitting, on its day, at its time, as another program reads it', () => {
    const events = new ical.Component(ical.parse(file.value) as never)
      .getAllSubcomponents('vevent')
      .map((own) => new ical.Event(own));
    expect(events).toHaveLength(sittings.length);
    expect(sittings.length).toBeGreaterThan(2);
    events.forEach((event, i) => {
      expect(event.startDate.zone.tzid).toBe('floating');
      expect(event.startDate.toString()).toBe(`${days[i]}T19:30:00`);
      expect(event.duration.toSeconds()).toBe(60 * Math.max(1, Math.round(sittings[i]!.seconds / 60)));
      expect(event.summary).toBe(`${NAME.replace('\n', ' ')}: sitting ${i + 1}`);
      expect(event.description).toMatch(/^(Cut|No new thread): .*\nNeedles: /);
    });
  });

  it('falls on the days that are chosen, and on the one to which a sitting was moved', () => {
    expect(days[0]).toBe('2026-12-29');
    expect(days[1]).toBe('2027-01-09');
    expect(days[2]).toBe('2027-01-05');
    for (const [i, day] of days.entries()) if (i !== 1) expect([2, 5]).toContain(new Date(`${day}T12:00`).getDay());
  });

  it('names each event the same when it is made again', () => {
    const uids = (text: string): string[] => [...text.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid!);
    const again = calendarFile(
      piece,
      plan,
      days.map(() => '2027-03-01'),
    );
    expect(again.ok && uids(again.value)).toEqual(uids(file.value));
    expect(new Set(uids(file.value)).size).toBe(sittings.length);
  });

  it('folds its lines', () => {
    for (const line of file.value.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  it('is not made of a piece without a stitch', () => {
    const empty = emptyPiece('none', 'None');
    expect(calendarFile(empty, new Planner().plan(empty, USUAL_FACTORS).plan, [])).toMatchObject({ ok: false });
  });
});
