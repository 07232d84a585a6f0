import {
  type ThreadId,
  EIDERLIGHT,
  EMPTY_BOX,
  newEntry,
  refOf,
  SCOURWHITE,
  THRUMWICK,
  type BasketItem,
  type BoxEntry,
  type ThreadBox,
} from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';

const PLACES = ['blue tin', 'top drawer', 'bobbin box', 'by the window'] as const;
const lotName = (n: number): string => `${String.fromCharCode(65 + (n % 6))}${10 + ((n * 37) % 80)}`;

/** What is there of the shades of Rock Pool: enough of some, a remainder of others, one in two lots. */
const FOR_THE_POOL: readonly (readonly [code: string, more: Partial<BoxEntry>])[] = [
  ['rn-20', { whole: 1, partM: 2.5 }],
  ['tl-74', { partM: 1.6, plusMinusM: 0.3 }],
  ['am-77', { partM: 0.8, plusMinusM: 0.3, lot: 'B21' }],
  ['am-77', { partM: 0.7, lot: 'D58', place: 'bobbin box' }],
  ['ck-53', { partM: 0.9, handDyed: true, lot: 'kettle 2' }],
  ['rh-41', { partM: 3.4 }],
];

/** A box that owns some of each range: whole skeins, begun ones, a few in two lots, one dyed by hand. */
export function demoThreadBox(): ThreadBox {
  const random = seededRandom(44);
  const entries: BoxEntry[] = [];
  const put = (shade: (typeof THRUMWICK.shades)[number], thread: ThreadId, more: Partial<BoxEntry>): void => {
    const n = entries.length;
    entries.push(
      newEntry({
        id: `demo-${n + 1}`,
        shade: refOf(shade),
        thread,
        lot: lotName(n),
        place: PLACES[n % PLACES.length]!,
        ...more,
      }),
    );
  };
  for (const [code, more] of FOR_THE_POOL) {
    put(
      THRUMWICK.shades.find((shade) => shade.code === code)!,
      'stranded-cotton',
      { price: 1.35, ...more },
    );
  }
  const begun = new Set(FOR_THE_POOL.map(([code]) => code));
  THRUMWICK.shades.forEach((shade, i) => {
    if (random.next() > 0.42 || begun.has(shade.code)) return;
    const whole = Math.floor(random.next() * 3);
    const partM = Math.round(random.between(0.5, 7.5) * 10) / 10;
    put(shade, 'stranded-cotton', { whole, partM, price: 1.35 });
    if (i % 9 === 0)
      put(shade, 'stranded-cotton', { partM: 3.2, lot: lotName(i + 50), place: 'bobbin box', plusMinusM: 0.3 });
  });
  EIDERLIGHT.shades.forEach((shade, i) => {
    if (i % 5 === 0) put(shade, 'stranded-silk', { whole: 1, price: 4.2 });
  });
  put(SCOURWHITE.shades[0]!, 'whitework-cotton', { whole: 2, price: 2.6 });
  put(THRUMWICK.shades[100]!, 'stranded-cotton', { partM: 5, handDyed: true, lot: 'kettle 3', place: 'top drawer' });
  const basket: BasketItem[] = [
    { id: 'demo-hoop-1', kind: 'hoop', nominalMm: 150, shortMm: null },
    { id: 'demo-hoop-2', kind: 'hoop', nominalMm: 200, shortMm: null },
    { id: 'demo-needle-1', kind: 'needle', family: 'crewel', size: 7, count: 6 },
    { id: 'demo-needle-2', kind: 'needle', family: 'crewel', size: 9, count: 4 },
    { id: 'demo-mark', kind: 'mark', mark: 'heat-pen' },
    { id: 'demo-cloth', kind: 'cloth', cloth: 'fine-linen', colour: '#ece5d6', widthMm: 420, heightMm: 600 },
    { id: 'demo-felt', kind: 'backing', what: 'felt', widthMm: 200, heightMm: 300 },
    { id: 'demo-scissors', kind: 'tool', name: 'Small pointed scissors' },
  ];
  return { ...EMPTY_BOX, entries, basket };
}
