import type { Template, TemplateLineKind } from '../finish/index.ts';
import type { PrinterScale, Page, Sheet } from './sheets.ts';
import { HAIR_MM, tiledPages, type Ink } from './tiles.ts';
import * as say from './words.ts';

/** How each kind of line is drawn: told apart by its dashes and its weight, not by colour. */
const DRAWN: Readonly<Record<TemplateLineKind, Omit<Ink, 'line'> & { readonly says: string }>> = {
  cut: { widthMm: 0.5, grey: 0, dashMm: null, says: 'whole: cut' },
  seam: { widthMm: 0.35, grey: 0, dashMm: 3, says: 'dashes: sew' },
  stitch: { widthMm: 0.35, grey: 0, dashMm: 1, says: 'dots: stitch over it' },
  fold: { widthMm: 0.35, grey: 0.3, dashMm: 8, says: 'long dashes: fold, or leave open' },
  mark: { widthMm: HAIR_MM, grey: 0.35, dashMm: null, says: 'fine: only a mark' },
};

/** What the lines of a template mean, in words. */
export function templateKey({ lines }: Template): string {
  const kinds = new Set(lines.map(({ kind }) => kind));
  return (Object.keys(DRAWN) as TemplateLineKind[])
    .filter((kind) => kinds.has(kind))
    .map((kind) => DRAWN[kind].says)
    .join(', ');
}

/** The lines of a template as they are drawn. */
export function templateInks({ lines }: Template): Ink[] {
  return lines.map(({ kind, line }): Ink => {
    const { says: _says, ...ink } = DRAWN[kind];
    return { line, ...ink };
  });
}

/** Templates at true size as one document, each from a page of its own on, with the pattern's bars, tiles and corrected printer. */
export function templatePages(
  templates: readonly Template[],
  options: { readonly sheet: Sheet; readonly printer: PrinterScale },
  name: string,
): Page[] {
  return templates.flatMap((template) => {
    return tiledPages(
      { inks: templateInks(template), labels: [] },
      options,
      say.templateTitle(name, template.name),
      say.templateFooter(templateKey(template)),
    );
  });
}
