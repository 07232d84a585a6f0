import { compile, type Options } from 'css-select';
import cssParse from 'css-tree/parser';
import cssWalk from 'css-tree/walker';
import cssGenerate from 'css-tree/generator';
import type { CssNode, Rule } from 'css-tree';
import type { SvgElement } from './xmlTree.ts';

/** The properties of a shape's look, as text. */
export type Style = Readonly<Record<string, string>>;

const INHERITED = [
  'fill',
  'fill-rule',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-linecap',
  'stroke-dasharray',
  'visibility',
  'color',
  'clip-rule',
] as const;
const OWN = [
  'opacity',
  'display',
  'clip-path',
  'mask',
  'filter',
  'stop-color',
  'stop-opacity',
  'marker-start',
  'marker-mid',
  'marker-end',
  'marker',
] as const;
const PROPERTIES: ReadonlySet<string> = new Set([...INHERITED, ...OWN]);

export const ROOT_STYLE: Style = {
  fill: '#000',
  'fill-rule': 'nonzero',
  'fill-opacity': '1',
  stroke: 'none',
  'stroke-width': '1',
  'stroke-opacity': '1',
  'stroke-linecap': 'butt',
  'stroke-dasharray': 'none',
  visibility: 'visible',
  color: '#000',
  'clip-rule': 'nonzero',
};

interface CssRule {
  readonly matches: (element: SvgElement) => boolean;
  readonly specificity: number;
  readonly declarations: readonly Declaration[];
}

interface Declaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
}

/** The style sheets of a drawing, ready to be asked about its elements. */
export class StyleSheets {
  private readonly rules: CssRule[];

  constructor(sheets: readonly string[]) {
    this.rules = sheets.flatMap(readRules).sort((a, b) => a.specificity - b.specificity);
  }

  /** What applies to an element: attributes, then rules, then its own `style`, over what it inherits. */
  styleOf(element: SvgElement, inherited: Style): Style {
    const style: Record<string, string> = {};
    for (const property of INHERITED) if (inherited[property] !== undefined) style[property] = inherited[property];
    const important: Declaration[] = [];
    const set = ({ property, value }: Declaration): void => {
      if (value === 'inherit') style[property] = inherited[property] ?? ROOT_STYLE[property] ?? '';
      else style[property] = value;
    };
    for (const property in element.attributes) {
      if (PROPERTIES.has(property)) {
        set({ property, value: element.attributes[property]!.trim(), important: false });
      }
    }
    if (this.rules.length === 0 && !element.attributes['style']) return style;
    const matching = this.rules.filter((rule) => rule.matches(element));
    const declared = [
      ...matching.flatMap((rule) => rule.declarations),
      ...readDeclarations(element.attributes['style']),
    ];
    for (const declaration of declared) {
      if (!PROPERTIES.has(declaration.property)) continue;
      if (declaration.important) important.push(declaration);
      else set(declaration);
    }
    important.forEach(set);
    return style;
  }
}

function readDeclarations(text: string | undefined): Declaration[] {
  if (!text) return [];
  const declarations: Declaration[] = [];
  cssWalk(cssParse(text, { context: 'declarationList', parseValue: false }), (node: CssNode) => {
    if (node.type === 'Declaration') declarations.push(declarationOf(node));
  });
  return declarations;
}

function declarationOf(node: Extract<CssNode, { type: 'Declaration' }>): Declaration {
  return {
    property: node.property.toLowerCase(),
    value: cssGenerate(node.value).trim(),
    important: Boolean(node.important),
  };
}

function readRules(sheet: string): CssRule[] {
  const rules: CssRule[] = [];
  cssWalk(cssParse(sheet, { parseValue: false }), {
    visit: 'Rule',
    enter(node: Rule) {
      // Rules for print or for small screens do not hold here.
      const condition = (this as unknown as { atrule: unknown }).atrule;
      if (condition) return;
      const declarations: Declaration[] = [];
      cssWalk(node.block, (inner: CssNode) => {
        if (inner.type === 'Declaration') declarations.push(declarationOf(inner));
      });
      for (const selector of cssGenerate(node.prelude).split(',')) {
        const rule = ruleOf(selector, declarations);
        if (rule) rules.push(rule);
      }
    },
  });
  return rules;
}

function ruleOf(selector: string, declarations: readonly Declaration[]): CssRule | null {
  try {
    const matches = compile<SvgElement, SvgElement>(selector, { adapter: ADAPTER, xmlMode: true });
    return { matches, specificity: specificityOf(selector), declarations };
  } catch {
    // A selector that is not understood matches nothing, as in a browser.
    return null;
  }
}

/** Ids count ten thousand, classes a hundred, element names one (Selectors level 3, section 9). */
function specificityOf(selector: string): number {
  const ids = selector.match(/#[\w-]+/g)?.length ?? 0;
  const classes = selector.match(/\.[\w-]+|\[[^\]]*\]|:(?!:)[\w-]+/g)?.length ?? 0;
  const names = selector.match(/(^|[\s>+~])[a-z][\w-]*/gi)?.length ?? 0;
  return ids * 10_000 + classes * 100 + names;
}

const ADAPTER: NonNullable<Options<SvgElement, SvgElement>['adapter']> = {
  isTag: (node): node is SvgElement => node !== null,
  getAttributeValue: (element, name) => element.attributes[name],
  getChildren: (node) => node.children,
  getName: (element) => element.name,
  getParent: (element) => element.parent,
  getSiblings: (node) => node.parent?.children ?? [node],
  getText: (node) => node.text,
  hasAttrib: (element, name) => name in element.attributes,
  removeSubsets: (nodes) => nodes,
};
