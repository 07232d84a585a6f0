import ts from 'typescript';

/** Words with the line that they begin on, counted from 1. */
export interface LinedWords {
  readonly line: number;
  readonly text: string;
}

/** Properties and parameters that hold what a program reads, never a person. */
const FOR_PROGRAMS =
  /^(id|ids|kind|key|type|path|d|href|src|class|className|style|font|fontFamily|family|hex|stroke|fill|filter|composite|role|accept|mime|mode|unit|name(d)?Cache|viewBox|rel|method|encoding)$/;

/** Calls whose texts go to a program: events, storage, patterns, styles. */
const CALLS_FOR_PROGRAMS =
  /^(querySelector(All)?|getElementById|addEventListener|removeEventListener|createElement(NS)?|getContext|setProperty|getPropertyValue|matchMedia|defineStore|defineEmits|defineProps|emit|import|require|RegExp|URL|Worker|split|join|startsWith|endsWith|includes|indexOf|replace(All)?|match|test|setAttribute|getAttribute|removeAttribute|setHeader|type|header|open|transaction|objectStore|createObjectStore|createIndex|seedFrom|localeCompare|dispatchEvent|postMessage|useMediaQuery|useLocalStorage|inject|provide|get|post|use|has|set|delete)$/;

const hasWord = /\p{L}{2,}/u;

/** A single word is a label only when it begins like one. */
function looksRead(text: string): boolean {
  const bare = text.replace(/\{[^}]*\}/g, ' ').trim();
  if (!hasWord.test(bare)) return false;
  if (
    /^[MLHVCSQTAZ](-?[\d.]|\s+-?[\d.]|$)|^#|^https?:|^\.{0,2}\/|^[a-z]+:[a-z]|^--|^data:|^url\(|^rgba?\(|^translate\(|^rotate\(|^scale\(|^blur\(/i.test(
      bare,
    )
  )
    return false;
  if (/^[\w./{}:-]+$/.test(bare))
    return /^[A-Z][a-z]+$/.test(bare) || (/^[A-Z]?[a-z]+[.…!?]$/.test(bare) && bare.length > 3);
  return /\p{L}{2,}[’'”)]?[\s,–-]|\s\p{L}|[.…!?]$/u.test(bare);
}

function nameOfCall(node: ts.CallExpression | ts.NewExpression): string {
  const callee = node.expression;
  return ts.isPropertyAccessExpression(callee) ? callee.name.text : callee.getText();
}

/** Whether a program alone reads this text, by where it stands. */
function isForPrograms(node: ts.Node): boolean {
  const parent = node.parent;
  if (!parent) return false;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent) || ts.isExternalModuleReference(parent))
    return true;
  if ((ts.isPropertyAssignment(parent) || ts.isMethodDeclaration(parent)) && parent.name === node) return true;
  if (ts.isPropertyAssignment(parent) && FOR_PROGRAMS.test(parent.name.getText()) && !/\s/.test(node.getText()))
    return true;
  if (ts.isBinaryExpression(parent)) {
    const operator = parent.operatorToken.kind;
    if (operator >= ts.SyntaxKind.EqualsEqualsToken && operator <= ts.SyntaxKind.ExclamationEqualsEqualsToken)
      return true;
    if (operator === ts.SyntaxKind.InKeyword) return true;
  }
  if ((ts.isCallExpression(parent) || ts.isNewExpression(parent)) && CALLS_FOR_PROGRAMS.test(nameOfCall(parent)))
    return true;
  // Failures of programmers are told to programmers.
  if (
    ts.isNewExpression(parent) &&
    ['Error', 'RangeError', 'TypeError'].includes(nameOfCall(parent)) &&
    ts.isThrowStatement(parent.parent)
  )
    return true;
  return ts.isTaggedTemplateExpression(parent);
}

/** A template as a person would read it, with what is filled in in braces. */
export function textOfTemplate(node: ts.TemplateExpression): string {
  return (
    node.head.text +
    node.templateSpans.map((span) => `{${span.expression.getText().replace(/\s+/g, ' ')}}${span.literal.text}`).join('')
  );
}

/**
 * The words in a script or in one expression of a template.
 * @param firstLine the line of the file on which `source` begins, counted from 1
 */
export function wordsOfScript(source: string, firstLine = 1): LinedWords[] {
  const tree = ts.createSourceFile('words.ts', source, ts.ScriptTarget.ES2023, true);
  const found: LinedWords[] = [];
  const add = (node: ts.Node, text: string): void => {
    if (isForPrograms(node) || !looksRead(text)) return;
    found.push({
      line: tree.getLineAndCharacterOfPosition(node.getStart()).line + firstLine,
      text: text.replace(/\s+/g, ' ').trim(),
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
    if (ts.isTemplateExpression(node)) add(node, textOfTemplate(node));
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}
