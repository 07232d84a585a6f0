import { failure, type Outcome } from '@junctura/core/measure';
import { readPieceFile, type PieceFile } from '@junctura/core/piece';
import rockPool from '@junctura/demo/pieces/rock-pool.junctura.json?url';
import boat from '@junctura/demo/pieces/paper-boat.junctura.json?url';
import bramble from '@junctura/demo/pieces/bramble-spray.junctura.json?url';
import cat from '@junctura/demo/pieces/harbour-cat.junctura.json?url';
import moth from '@junctura/demo/pieces/moth-on-oak-leaf.junctura.json?url';
import kite from '@junctura/demo/pieces/kite.junctura.json?url';
import radishes from '@junctura/demo/pieces/market-radishes.junctura.json?url';
import seedHead from '@junctura/demo/pieces/seed-head-cloth.junctura.json?url';
import ladybirds from '@junctura/demo/pieces/ladybirds-on-a-shirt.junctura.json?url';
import lighthouse from '@junctura/demo/pieces/lighthouse.junctura.json?url';
import strawberry from '@junctura/demo/pieces/strawberry-patch.junctura.json?url';
import tram from '@junctura/demo/pieces/night-tram.junctura.json?url';
import rockPoolPicture from '@junctura/demo/pictures/rock-pool.webp';
import boatPicture from '@junctura/demo/pictures/paper-boat.webp';
import bramblePicture from '@junctura/demo/pictures/bramble-spray.webp';
import catPicture from '@junctura/demo/pictures/harbour-cat.webp';
import mothPicture from '@junctura/demo/pictures/moth-on-oak-leaf.webp';
import kitePicture from '@junctura/demo/pictures/kite.webp';
import radishesPicture from '@junctura/demo/pictures/market-radishes.webp';
import seedHeadPicture from '@junctura/demo/pictures/seed-head-cloth.webp';
import ladybirdsPicture from '@junctura/demo/pictures/ladybirds-on-a-shirt.webp';
import lighthousePicture from '@junctura/demo/pictures/lighthouse.webp';
import strawberryPicture from '@junctura/demo/pictures/strawberry-patch.webp';
import tramPicture from '@junctura/demo/pictures/night-tram.webp';
import * as say from './words.ts';

export interface Demo {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly url: string;
  /** Where its little picture is, painted when the demo was made. */
  readonly picture: string;
}

/** The pieces that come with Junctura. Each is opened as a copy, so the original can always be had again. */
export const DEMOS: readonly Demo[] = [
  {
    id: 'demo-rock-pool',
    name: 'Rock Pool',
    about: 'A tide pool in a 150 mm hoop: every family of stitches, fourteen colours.',
    url: rockPool,
    picture: rockPoolPicture,
  },
  {
    id: 'demo-kite',
    name: 'Kite',
    about: 'A first piece: four stitches, two colours, a 100 mm hoop.',
    url: kite,
    picture: kitePicture,
  },
  {
    id: 'demo-radishes',
    name: 'Market radishes',
    about: 'A bunch of three for a canvas bag that gets washed, without a hoop.',
    url: radishes,
    picture: radishesPicture,
  },
  {
    id: 'demo-bramble',
    name: 'Bramble spray',
    about: 'Finished and framed, with a record of the thread used in each part.',
    url: bramble,
    picture: bramblePicture,
  },
  {
    id: 'demo-boat',
    name: 'Paper boat',
    about: 'All stitched: to become a stuffed ornament on a cord.',
    url: boat,
    picture: boatPicture,
  },
  {
    id: 'demo-seed-head',
    name: 'Seed-head cloth',
    about: 'Whitework on linen, in four hoop positions: scallops and a fringe, no colour at all.',
    url: seedHead,
    picture: seedHeadPicture,
  },
  {
    id: 'demo-moth',
    name: 'Moth on oak leaf',
    about: 'Appliqué in front of a printed moon, stitched over; to become a card.',
    url: moth,
    picture: mothPicture,
  },
  {
    id: 'demo-cat',
    name: 'Harbour cat',
    about: 'Painted in thread from a picture: one strand, eighteen shades, along the direction of the fur.',
    url: cat,
    picture: catPicture,
  },
  {
    id: 'demo-tram',
    name: 'Night tram',
    about: 'A 70 mm patch on dark felt; its edge is still to come.',
    url: tram,
    picture: tramPicture,
  },
  {
    id: 'demo-ladybirds',
    name: 'Ladybirds on a shirt',
    about:
      'On jersey, held in the hand: a backing before the first stitch, small stitches, ends that hold in the wash.',
    url: ladybirds,
    picture: ladybirdsPicture,
  },
  {
    id: 'demo-strawberry',
    name: 'Strawberry patch',
    about: 'A patch to iron on: edged through its web, pressed from the inside, its corners held.',
    url: strawberry,
    picture: strawberryPicture,
  },
  {
    id: 'demo-lighthouse',
    name: 'Lighthouse',
    about: 'Stays in the hoop that it is stitched in, and hangs in it.',
    url: lighthouse,
    picture: lighthousePicture,
  },
];

export async function loadDemo(id: string): Promise<Outcome<PieceFile>> {
  const demo = DEMOS.find((candidate) => candidate.id === id);
  if (!demo) return failure('There is no such demo piece.');
  try {
    const response = await fetch(demo.url);
    return readPieceFile(await response.text());
  } catch {
    return failure(say.demoNotLoaded(demo.name));
  }
}
