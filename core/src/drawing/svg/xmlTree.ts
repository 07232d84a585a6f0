import { SaxesParser } from 'saxes';
import { failure, success, type Outcome } from '../../measure/index.ts';
import { LIMITS } from './limits.ts';
import * as say from '../words.ts';

/** An element of a drawing, with its attributes by local name and the line it stands on. */
export interface SvgElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: SvgElement[];
  readonly parent: SvgElement | null;
  readonly line: number;
  text: string;
}

/** Prefixes under which the elements of SVG itself are written. */
const SVG_PREFIXES = new Set(['', 'svg']);
/** Elements whose `href` only names a page to go to. */
const LINKS = new Set(['a']);

class Refusal extends Error {}

/**
 * Reads an SVG as data. Refused: what is not sound XML, too large or too deep, and whatever could act or fetch: scripts,
 * event attributes, entity definitions, references outside the file.
 */
export function readXmlTree(source: string): Outcome<SvgElement> {
  if (source.length > LIMITS.characters) {
    const millions = Math.round(source.length / 1e6);
    return failure(say.tooManyCharacters(millions, LIMITS.characters / 1e6));
  }
  if (source.trim() === '') return failure('The drawing is empty: the file has nothing in it.');
  try {
    return success(parse(source.replace(/^\uFEFF/, '')));
  } catch (error) {
    return failure(error instanceof Refusal ? error.message : notXml(error));
  }
}

/** The parser's own message begins with `line:column: `. */
function notXml(error: unknown): string {
  const [, line, fault] = /^(?:\S*?)(\d+):\d+: ([^\n]*)/.exec(error instanceof Error ? error.message : '') ?? [];
  if (line === undefined) return 'The file is not valid XML.';
  return say.badXml(line, fault!.endsWith('.') ? fault! : `${fault!}.`);
}

function parse(source: string): SvgElement {
  const parser = new SaxesParser();
  let root: SvgElement | null = null;
  let current: SvgElement | null = null;
  let [nodes, depth] = [0, 0];
  const refuse = (problem: string): never => {
    throw new Refusal(say.atLine(parser.line, problem));
  };
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('doctype', (text) => {
    if (/<!(ENTITY|ATTLIST|ELEMENT)/i.test(text)) {
      refuse(say.HAS_ENTITIES);
    }
  });
  parser.on('processinginstruction', ({ target }) => {
    if (target === 'xml-stylesheet') refuse('the drawing refers to a style sheet outside the file.');
  });
  parser.on('opentag', (tag) => {
    if (++nodes > LIMITS.nodes) refuse(say.tooManyElements(LIMITS.nodes));
    if (++depth > LIMITS.depth) refuse(say.nestedTooDeep(LIMITS.depth));
    const [prefix, local] = splitName(tag.name);
    const isSvg = SVG_PREFIXES.has(prefix);
    const attributes: Record<string, string> = {};
    for (const [name, value] of Object.entries(tag.attributes)) {
      const [space, key] = splitName(name);
      if (space !== 'xmlns' && key !== 'xmlns') attributes[key] ??= value;
    }
    const element: SvgElement = {
      name: isSvg ? local : `other:${local}`,
      attributes,
      children: [],
      parent: current,
      line: parser.line,
      text: '',
    };
    if (isSvg) {
      const problem = actingOrFetching(element);
      if (problem) refuse(problem);
    }
    current?.children.push(element);
    root ??= element;
    current = element;
  });
  parser.on('closetag', () => {
    depth--;
    if (current?.name === 'style' && fetchesOutside(current.text)) {
      refuse('the style sheet refers to something outside the file.');
    }
    current = current?.parent ?? null;
  });
  const addText = (text: string): void => {
    if (current?.name === 'style' || current?.name === 'title') current.text += text;
  };
  parser.on('text', addText);
  parser.on('cdata', addText);
  parser.write(source).close();
  const found = root as SvgElement | null;
  if (!found) throw new Refusal('The file has no SVG in it.');
  if (found.name !== 'svg') throw new Refusal(say.notSvg(found.line, found.name.replace('other:', '')));
  return found;
}

function splitName(name: string): [prefix: string, local: string] {
  const colon = name.indexOf(':');
  return colon < 0 ? ['', name] : [name.slice(0, colon), name.slice(colon + 1)];
}

function actingOrFetching({ name, attributes }: SvgElement): string | null {
  if (name === 'script') return say.HAS_SCRIPT;
  for (const [key, value] of Object.entries(attributes)) {
    if (/^on[a-z]+$/i.test(key)) return say.eventAttribute(key);
    if (key === 'href' && !LINKS.has(name) && !/^\s*(#|data:)/i.test(value) && value.trim() !== '') {
      return say.outsideFile(value.slice(0, 60));
    }
    if (/javascript:/i.test(value)) return say.HAS_SCRIPT;
    if (fetchesOutside(value)) return say.outsideFile(value.slice(0, 60));
  }
  return null;
}

function fetchesOutside(text: string): boolean {
  return /url\(\s*['"]?\s*(?!#|['"]|data:)[^)\s]/i.test(text) || /@import/i.test(text);
}
