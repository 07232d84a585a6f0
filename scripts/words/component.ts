import { parse } from '@vue/compiler-sfc';
import {
  NodeTypes,
  type AttributeNode,
  type DirectiveNode,
  type ElementNode,
  type TemplateChildNode,
} from '@vue/compiler-dom';
import { wordsOfScript, type LinedWords } from './script.ts';

/** Attributes and properties of components that hold words. */
const READ =
  /^(label|title|placeholder|alt|aria-label|aria-description|aria-valuetext|hint|empty|description|content|text|heading|name|question|positive-text|negative-text|unit-name|what|legend|said|caption|note)$/;

const isInline = (node: TemplateChildNode): boolean =>
  node.type === NodeTypes.TEXT || node.type === NodeTypes.INTERPOLATION;

function wordsOfAttribute(attribute: AttributeNode | DirectiveNode): LinedWords[] {
  const line = attribute.loc.start.line;
  if (attribute.type === NodeTypes.ATTRIBUTE) {
    const text = attribute.value?.content ?? '';
    return READ.test(attribute.name) && /\p{L}{2,}/u.test(text) ? [{ line, text }] : [];
  }
  const bound = attribute.arg?.type === NodeTypes.SIMPLE_EXPRESSION ? attribute.arg.content : '';
  if (['class', 'style', 'key', 'd', 'id', 'viewBox', 'transform'].includes(bound)) return [];
  const expression = attribute.exp?.loc.source;
  if (!expression || attribute.name === 'slot' || attribute.name === 'for') return [];
  return wordsOfScript(`(${expression})`, attribute.exp!.loc.start.line);
}

/** Texts and figures that follow each other are one sentence. */
function wordsOfChildren(children: readonly TemplateChildNode[]): LinedWords[] {
  const found: LinedWords[] = [];
  let run: TemplateChildNode[] = [];
  const close = (): void => {
    const text = run
      .map((node) => (node.type === NodeTypes.TEXT ? node.content : `{${node.loc.source.slice(2, -2).trim()}}`))
      .join('')
      .replace(/\s+/g, ' ')
      .trim();
    if (run.some((node) => node.type === NodeTypes.TEXT && /\p{L}{2,}/u.test(node.content)))
      found.push({ line: run[0]!.loc.start.line, text });
    for (const node of run)
      if (node.type === NodeTypes.INTERPOLATION)
        found.push(...wordsOfScript(`(${node.loc.source.slice(2, -2)})`, node.loc.start.line));
    run = [];
  };
  for (const child of children) {
    if (isInline(child)) run.push(child);
    else {
      close();
      if (child.type === NodeTypes.ELEMENT) found.push(...wordsOfElement(child));
    }
  }
  close();
  return found;
}

function wordsOfElement(element: ElementNode): LinedWords[] {
  return [...element.props.flatMap(wordsOfAttribute), ...wordsOfChildren(element.children)];
}

/**
 * The words of a Vue component: of its template, its bound expressions and its scripts.
 * @throws when it can't be read
 */
export function wordsOfComponent(source: string): LinedWords[] {
  const { descriptor, errors } = parse(source);
  if (errors.length > 0) throw errors[0]!;
  const scripts = [descriptor.script, descriptor.scriptSetup].flatMap((block) =>
    block ? wordsOfScript(block.content, block.loc.start.line) : [],
  );
  const template = descriptor.template?.ast ? wordsOfChildren(descriptor.template.ast.children) : [];
  return [...scripts, ...template];
}
