import { failure, success, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import { sittingsOf, type Plan } from '@junctura/core/thread';
import { layOut } from '@junctura/core/transfer';
import { createEvents, type EventAttributes } from 'ics';
import * as say from './words.ts';

/** Control characters mean nothing in a calendar; line breaks become blanks in what is one line. */
// eslint-disable-next-line no-control-regex -- these are what is taken out
const oneLine = (text: string): string => text.replace(/[\u0000-\u001f\u007f]+/g, ' ').trim();

/**
 * The sittings of a piece as an iCalendar file (RFC 5545): one event each, in floating local time. Each keeps its UID, so that a second
 * import updates what the first brought.
 * @param days the day of each sitting, as `2026-11-29`
 */
export function calendarFile(piece: Piece, plan: Plan, days: readonly string[]): Outcome<string> {
  const [hour, minute] = piece.calendar.at.split(':').map(Number) as [number, number];
  const name = oneLine(piece.name) || 'A piece';
  const events = sittingsOf(piece, plan).map((sitting, i): EventAttributes => {
    const [year, month, day] = days[i]!.split('-').map(Number) as [number, number, number];
    const { lengths, needles, positions, finishes } = layOut(piece, plan, sitting);
    const told = [
      say.layOut(lengths.map(({ count, name: colour, strands }) => ({ count, name: oneLine(colour), strands }))),
      say.needles(needles),
      ...(piece.positions.length > 1 ? [say.positions(positions)] : []),
      ...(finishes.length > 0 ? [say.finishes(finishes.map(oneLine))] : []),
    ];
    return {
      uid: `sitting-${sitting.number}-${piece.id}@junctura`,
      title: say.sittingOf(name, sitting.number),
      description: told.join('\n'),
      start: [year, month, day, hour, minute],
      startInputType: 'local',
      startOutputType: 'local',
      duration: { minutes: Math.max(1, Math.round(sitting.seconds / 60)) },
      productId: 'junctura',
      calName: name,
    };
  });
  if (events.length === 0) return failure('There is nothing to stitch, so there are no sittings.');
  const { error, value } = createEvents(events);
  return value ? success(folded(value)) : failure(say.calendarNotMade(error?.message ?? ''));
}

/** The most octets that a line holds (RFC 5545, 3.1); the package counts letters. */
const MOST_OCTETS = 75;
const octets = new TextEncoder();

function folded(text: string): string {
  const lines = text.replace(/\r\n[ \t]/g, '').split('\r\n');
  return lines.map(foldLine).join('\r\n');
}

function foldLine(line: string): string {
  const pieces: string[] = [];
  let [piece, size] = ['', 0];
  for (const letter of line) {
    const more = octets.encode(letter).length;
    if (size + more > MOST_OCTETS) {
      pieces.push(piece);
      // What goes on begins with a blank.
      [piece, size] = ['', 1];
    }
    piece += letter;
    size += more;
  }
  return [...pieces, piece].join('\r\n ');
}
