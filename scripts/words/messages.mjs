// Finds every text in the sources that can reach a person: text between JSX tags, string literals and templates.
import { readFileSync } from 'node:fs';
import ts from 'typescript';

/** JSX attributes and object keys whose strings are never read by a person. */
const SILENT_NAMES = new Set(
  (
    'className class d key id to type rel href src name value role variant tone size path method transform viewBox points fill stroke ' +
    'autoComplete inputMode htmlFor data-testid data-part side align dataKey stackId yAxisId xAxisId clipPath mask overflow ' +
    'preserveAspectRatio strokeDasharray strokeLinecap strokeLinejoin textAnchor dominantBaseline as position display background ' +
    'padding margin gridTemplateColumns gridArea width height left top font colour color url pattern selector table ' +
    'collation charset engine orderBy sql accept capture enctype scope strokeWidth style marker transformOrigin flexBasis'
  ).split(' '),
);

/** JSX attributes and object keys whose strings are always read, even a single word. */
const SPOKEN_NAMES = new Set(
  'label title aria-label placeholder alt hint says line why doing done heading summary goodToKnow doNot word words unit past may header'.split(
    ' ',
  ),
);

/** Functions whose string arguments are never read by a person. */
const SILENT_CALLS =
  /^(?:cn|clsx|require|query|exec|execute|sql|join|split|startsWith|endsWith|includes|indexOf|get|set|has|delete|getItem|setItem|removeItem|addEventListener|removeEventListener|dispatchEvent|querySelector|querySelectorAll|closest|matchMedia|matches|where|andWhere|orWhere|leftJoin|innerJoin|leftJoinAndSelect|select|addSelect|orderBy|addOrderBy|groupBy|addGroupBy|having|setParameter|createQueryBuilder|Column|PrimaryColumn|Entity|Index|Controller|Get|Post|Put|Patch|Delete|Header|Param|Query|Inject|fetch|replace|replaceAll|test|match|localeCompare|DateTimeFormat|NumberFormat|addStep|run|debug|describe|defineWrite|setAttribute|getAttribute|createElement|createElementNS|postMessage|Symbol|navigate|update|createHash|createHmac|from|toString|RegExp|utcToZonedTime|formatInTimeZone|format)$/;

const LETTERS = /\p{L}{2,}/u;
/** A text that is read has a blank between words, or begins like a sentence or a label. */
const READS =
  /\p{L}[\p{L}’'.,:;!?…)]*\s+[(“‘]?[\p{L}{0-9]|^\p{Lu}\p{Ll}{2,}[.!?…:]?$|^\{\d+\}\s+\p{Ll}|\p{Ll}\s+\{\d+\}/u;
const CODE =
  /^[\w$./:#@[\]=>~*()-]+$|^\s*(?:SELECT|INSERT|UPDATE|DELETE|ALTER|CREATE|DROP|SET|SHOW|WITH|START|AND|WHERE|FROM|ORDER|ON|LEFT|JOIN|REPLACE)\b/;
const STYLE_WORD =
  /^(?:-?(?:[a-z0-9]+:)*[a-z]+(?:-[a-z0-9./[\]%()_,#]+)+|(?:sm|md|lg|xl|hover|focus|dark|print|group|open):\S+|flex|grid|block|hidden|inline|relative|absolute|fixed|sticky|underline|truncate|italic|card|group|peer|sr-only|grow|shrink|border|rounded|uppercase|capitalize|contents|table|static|isolate|transition)$/;

/** True where every word is a class of the style sheet. */
function isStyle(text) {
  const words = text
    .replace(/\{\d+\}/g, ' ')
    .trim()
    .split(/\s+/);
  const styled = words.filter((word) => STYLE_WORD.test(word)).length;
  return words.length > 0 && styled / words.length > 0.6;
}

function calleeName(call) {
  const e = call.expression;
  return ts.isPropertyAccessExpression(e) ? e.name.text : ts.isIdentifier(e) ? e.text : '';
}

/** True where a string stands in a place that no person reads. */
function isSilent(node) {
  let at = node;
  for (let up = node.parent; up; at = up, up = up.parent) {
    if (ts.isImportDeclaration(up) || ts.isExportDeclaration(up) || ts.isLiteralTypeNode(up)) return true;
    if (ts.isExternalModuleReference(up) || ts.isTypeNode(up)) return true;
    if (ts.isElementAccessExpression(up) && up.argumentExpression === at) return true;
    if (ts.isJsxAttribute(up)) return SILENT_NAMES.has(up.name.getText()) || up.name.getText().startsWith('data-');
    if (ts.isPropertyAssignment(up)) {
      if (up.name === at) return true;
      const name = up.name.getText().replace(/['"]/g, '');
      if (SILENT_NAMES.has(name) && !/[.!?]$|\s\p{Ll}+\s\p{Ll}+\s/u.test(node.text ?? '')) return true;
    }
    if (ts.isTaggedTemplateExpression(up)) return true;
    if (ts.isCallExpression(up) && up.expression !== at && SILENT_CALLS.test(calleeName(up))) return true;
    if (ts.isBinaryExpression(up) && /^[=!]==?$/.test(up.operatorToken.getText())) return true;
    if (ts.isCaseClause(up) && up.expression === at) return true;
    if (ts.isStatement(up) || ts.isFunctionLike(up)) break;
  }
  return false;
}

const hole = (node, source) => ({ text: node.getText(source), start: node.getStart(source), end: node.getEnd() });

/** True where even a single word is read: a label, a heading, or what stands between two tags. */
function isSpoken(node) {
  for (let up = node.parent; up; up = up.parent) {
    if (ts.isJsxAttribute(up)) return SPOKEN_NAMES.has(up.name.getText());
    if (ts.isPropertyAssignment(up)) return SPOKEN_NAMES.has(up.name.getText().replace(/['"]/g, ''));
    if (ts.isJsxExpression(up)) return ts.isJsxElement(up.parent) || ts.isJsxFragment(up.parent);
    if (!ts.isConditionalExpression(up) && !ts.isParenthesizedExpression(up) && !ts.isBinaryExpression(up))
      return false;
  }
  return false;
}

const collapse = (text) => text.replace(/\s*\n\s*/g, ' ');

/** One text with its holes: `{1}`, `{2}` … stand for what the program fills in. */
function template(node, source) {
  if (!ts.isTemplateExpression(node)) return { text: node.text, holes: [] };
  let text = node.head.text;
  const holes = [];
  for (const span of node.templateSpans) {
    holes.push(hole(span.expression, source));
    text += `{${holes.length}}${span.literal.text}`;
  }
  return { text, holes };
}

const INLINE = /^(?:b|strong|em|i|span|Link|a|NavLink|code|time|abbr|small|Value|Quantity)$/;
const tagOf = (node) =>
  ts.isJsxElement(node) ? node.openingElement.tagName.getText() : (node.tagName?.getText() ?? '');

/** Runs of text and expressions between tags; inline elements are holes of the sentence they stand in. */
function jsxRuns(children) {
  const runs = [];
  let run = [];
  for (const child of children) {
    const inline =
      ts.isJsxText(child) ||
      ts.isJsxExpression(child) ||
      ((ts.isJsxElement(child) || ts.isJsxSelfClosingElement(child)) && INLINE.test(tagOf(child)));
    if (inline) run.push(child);
    else {
      runs.push(run);
      run = [];
    }
  }
  runs.push(run);
  return runs.filter((r) => r.some((n) => ts.isJsxText(n) && LETTERS.test(n.text)));
}

function jsxMessage(run, source) {
  const first = run[0].getFullStart();
  const last = run[run.length - 1].getEnd();
  let text = '';
  const holes = [];
  for (const node of run) {
    if (ts.isJsxText(node)) text += collapse(node.text);
    else if (ts.isJsxExpression(node) && node.expression && ts.isStringLiteral(node.expression))
      text += node.expression.text;
    else {
      holes.push(hole(node, source));
      text += `{${holes.length}}`;
    }
  }
  return { kind: 'jsx', start: first, end: last, text: text.trim(), holes };
}

/**
 * Returns every text of a source file that can reach a person, in order of place.
 *
 * @param {string} file path of a .ts or .tsx file
 * @returns {{ file: string, line: number, kind: 'jsx' | 'string' | 'template', text: string, holes: string[], start: number, end: number }[]}
 */
export function messagesOf(file, code = readFileSync(file, 'utf8')) {
  const source = ts.createSourceFile(
    file,
    code,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found = [];
  const visit = (node) => {
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      for (const run of jsxRuns(node.children)) found.push(jsxMessage(run, source));
    }
    const isText =
      ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateExpression(node);
    if (isText && !isSilent(node)) {
      const { text, holes } = template(node, source);
      const spoken = collapse(text).trim();
      if (
        LETTERS.test(spoken.replace(/\{\d+\}/g, '')) &&
        (isSpoken(node) || (READS.test(spoken) && !CODE.test(spoken) && !isStyle(spoken)))
      )
        found.push({
          kind: ts.isTemplateExpression(node) ? 'template' : 'string',
          start: node.getStart(source),
          end: node.getEnd(),
          text: spoken,
          holes,
        });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found
    .sort((a, b) => a.start - b.start || b.end - a.end)
    .map((m) => ({
      file,
      line:
        source.getLineAndCharacterOfPosition(
          code.slice(0, m.end).search(/\S/) < 0
            ? m.start
            : m.start + (code.slice(m.start).match(/^\s*/)?.[0].length ?? 0),
        ).line + 1,
      ...m,
    }));
}
