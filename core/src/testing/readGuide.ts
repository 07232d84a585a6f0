/** A guide as someone reads it: the page of HTML taken apart again. */
export interface ReadGuide {
  /** The texts of its headings. */
  readonly headings: readonly string[];
  readonly steps: readonly ReadStep[];
  readonly finish: readonly ReadStep[];
  /** Rows of what to lay out: name, detail, amount. */
  readonly materials: readonly (readonly string[])[];
  /** Numbers on the map and its lenses: drawing by drawing. */
  readonly maps: readonly (readonly MapNumber[])[];
  /** The stitches that it teaches, by name. */
  readonly stitches: readonly string[];
  readonly ticks: readonly string[];
  /** All its words. */
  readonly text: string;
}

export interface ReadStep {
  readonly number: string;
  readonly title: string;
  readonly paragraphs: readonly string[];
  /** “Stitches: 22”, by what stands before the colon. */
  readonly figures: ReadonlyMap<string, string>;
  readonly hasPicture: boolean;
}

export interface MapNumber {
  readonly text: string;
  readonly step: string;
  readonly x: number;
  readonly y: number;
}

const plain = (html: string): string =>
  html
    .replace(/<[^>]+>/g, '')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&#39;|&apos;/g, '’')
    .replace(/&amp;/g, '&');

const all = (html: string, pattern: RegExp): RegExpMatchArray[] => [...html.matchAll(pattern)];
const texts = (html: string, pattern: RegExp): string[] => all(html, pattern).map(([, inner]) => plain(inner!));

/** Takes a guide apart by what its marks say, not by how it was made. */
export function readGuide(html: string): ReadGuide {
  const steps = all(html, /<li data-step="([^"]+)">([\s\S]*?)<\/div><\/li>/g).map(([, number, inner]): ReadStep => {
    const [, listed = ''] = /<ul class="figures">([\s\S]*?)<\/ul>/.exec(inner!) ?? [];
    const figures = texts(listed, /<li>([\s\S]*?)<\/li>/g).map((figure): [string, string] => {
      const colon = figure.indexOf(': ');
      return colon < 0 ? ['', figure] : [figure.slice(0, colon), figure.slice(colon + 2)];
    });
    return {
      number: number!,
      title: texts(inner!, /<h3>([\s\S]*?)(?:<svg|<\/h3>)/g)[0]!,
      paragraphs: texts(inner!, /<p(?: [^>]*)?>([\s\S]*?)<\/p>/g),
      figures: new Map(figures),
      hasPicture: inner!.includes(`data-step="${number}"`),
    };
  });
  const [, laid = ''] = /<table class="materials">([\s\S]*?)<\/table>/.exec(html) ?? [];
  return {
    headings: texts(html, /<h2[^>]*>([\s\S]*?)<\/h2>/g),
    steps: steps.filter(({ number }) => !number.startsWith('F')),
    finish: steps.filter(({ number }) => number.startsWith('F')),
    materials: all(laid, /<tr>([\s\S]*?)<\/tr>/g).map(([, row]) => texts(row!, /<td>([\s\S]*?)<\/td>/g).slice(1)),
    maps: all(html, /<figure class="(?:map|lens)">([\s\S]*?)<\/figure>/g).map(([, drawing]) =>
      all(drawing!, /<g data-step="([^"]+)">([\s\S]*?)<\/g>/g).flatMap(([, step, group]) =>
        all(group!, /<text x="([^"]+)" y="([^"]+)"[^>]*>([^<]*)<\/text>/g).map(([, x, y, text]) => ({
          text: text!,
          step: step!,
          x: Number(x),
          y: Number(y),
        })),
      ),
    ),
    stitches: texts(html, /<section class="stitch">[\s\S]*?<h3>([\s\S]*?)<\/h3>/g),
    ticks: all(html, /<ul class="ticks">([\s\S]*?)<\/ul>/g).flatMap(([, list]) =>
      texts(list!, /<li>([\s\S]*?)<\/li>/g),
    ),
    text: plain(html.replace(/<style>[\s\S]*?<\/style>/, '').replace(/<svg[\s\S]*?<\/svg>/g, '')),
  };
}
