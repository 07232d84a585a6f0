import ts from 'typescript';

/** Words with the line that they begin on, counted from 1. */
export interface LinedWords {
  readonly line: number;
  /** What is filled in stands in braces, as the code has it. */
  readonly text: string;
}

/** Properties that hold what a program reads, never a person. */
const FOR_PROGRAMS =
  /^(id|ids|kind|key|type|path|d|href|src|class|className|style|font|fontFamily|family|hex|stroke|fill|filter|composite|role|accept|mime|mode|unit|viewBox|rel|method|encoding)$/;

/** Calls whose texts go to a program: events, storage, patterns, styles. */
const CALLS_FOR_PROGRAMS =
  /^(querySelector(All)?|getElementById|addEventListener|removeEventListener|createElement(NS)?|getContext|setProperty|getPropertyValue|matchMedia|defineStore|defineEmits|defineProps|emit|import|require|RegExp|URL|Worker|split|join|startsWith|endsWith|includes|indexOf|replace(All)?|match|test|setAttribute|getAttribute|removeAttribute|setHeader|type|header|open|transaction|objectStore|createObjectStore|createIndex|seedFrom|localeCompare|dispatchEvent|postMessage|useMediaQuery|useLocalStorage|inject|provide|get|post|use|has|set|delete|closest|chooseFile)$/;

/** Markup, drawings, styles, patterns of file types, fonts. */
const PROGRAM_TEXT =
  /^[MLHVCSQTAZ](-?[\d.]|\s+-?[\d.]|$)|^#|^<(?!\w+> )|^https?:|^\.{0,2}\/|^[a-z]+:[a-z]|^--|^data:|^(url|rgba?|translate|rotate|scale|blur|linear-gradient)\(|^\.\w+,|\{font:|px \{|^'[^']*', |^[a-z]+\/\{|^sitting-|^fill=|^stroke-|^data-|^needle-\{|^-card-/i;

/** A single word is a label only when it begins like one. */
function looksRead(text: string): boolean {
  const bare = text.replace(/\{[^{}]*(\{[^{}]*\}[^{}]*)*\}/g, ' ').trim();
  if (!/\p{L}{2,}/u.test(bare) || PROGRAM_TEXT.test(text.trim())) return false;
  if (/^[\w./{}:-]+$/.test(bare)) {
    return /^[A-Z][a-z]+$/.test(bare) || (/^[A-Z]?[a-z]+[.…!?]$/.test(bare) && bare.length > 3);
  }
  return /\p{L}{2,}[’'”)]?[\s,–-]|\s\p{L}|[.…!?]$/u.test(bare);
}

function nameOfCall({ expression }: ts.CallExpression | ts.NewExpression): string {
  return ts.isPropertyAccessExpression(expression) ? expression.name.text : expression.getText();
}

/** Whether a program alone reads this text, by where it stands. */
function isForPrograms(node: ts.Node, tellsErrors: boolean): boolean {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent)) return true;
  if (ts.isPropertyAssignment(parent)) {
    if (parent.name === node) return true;
    if (FOR_PROGRAMS.test(parent.name.getText()) && !/\s/.test(node.getText())) return true;
  }
  if (ts.isBinaryExpression(parent)) {
    const operator = parent.operatorToken.kind;
    if (operator >= ts.SyntaxKind.EqualsEqualsToken && operator <= ts.SyntaxKind.ExclamationEqualsEqualsToken)
      return true;
    if (operator === ts.SyntaxKind.InKeyword) return true;
  }
  if ((ts.isCallExpression(parent) || ts.isNewExpression(parent)) && CALLS_FOR_PROGRAMS.test(nameOfCall(parent)))
    return true;
  // A programmer's mistake is told to programmers; the headless planner tells its own failures so.
  if (
    !tellsErrors &&
    ts.isNewExpression(parent) &&
    /Error$/.test(nameOfCall(parent)) &&
    ts.isThrowStatement(parent.parent)
  )
    return true;
  return ts.isTaggedTemplateExpression(parent);
}

/** A template as a person would read it. */
function textOfTemplate(node: ts.TemplateExpression): string {
  const spans = node.templateSpans.map(({ expression, literal }) => `{${expression.getText()}}${literal.text}`);
  return node.head.text + spans.join('');
}

/**
 * The words in a script or in one expression of a template.
 * @param firstLine the line of the file on which `source` begins, counted from 1
 * @param tellsErrors whether errors that are thrown are told to the person
 */
export function wordsOfScript(source: string, firstLine = 1, tellsErrors = false): LinedWords[] {
  const tree = ts.createSourceFile('words.ts', source, ts.ScriptTarget.ES2023, true);
  const found: LinedWords[] = [];
  const add = (node: ts.Node, text: string): void => {
    const plain = text.replace(/\s+/g, ' ').trim();
    if (isForPrograms(node, tellsErrors) || !looksRead(plain)) return;
    found.push({ line: tree.getLineAndCharacterOfPosition(node.getStart()).line + firstLine, text: plain });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
    if (ts.isTemplateExpression(node)) add(node, textOfTemplate(node));
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}
