import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

const ROOT = join(__dirname, '../..');
/**
 * What describes the interface to who programs against it, what reads files of before there were messages, the shapes of a
 * message, and the names that pots have until a cook gives them others.
 */
const EXCEPT = new Set([
  'contract/src/api.ts',
  'contract/src/json-schema.ts',
  'contract/src/text.ts',
  'core/src/clock/guide-from-v1.ts',
  'core/src/plan/cooker-sets.ts',
  'core/src/plan/defaults.ts',
]);

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sources(path);
    return /\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });
}

/** An error is for who programs; a list of words is for who reads a recipe. */
function isForPeople(node: ts.Node): boolean {
  for (let at = node.parent; at as ts.Node | undefined; at = at.parent) {
    if (ts.isThrowStatement(at))
      return !/^throw new (Range|Type)?Error/.test(at.getText()) && /PlanError/.test(at.getText());
    if (ts.isNewExpression(at) && /Error$/.test(at.expression.getText())) return false;
    // It throws a range error with what it is called.
    if (ts.isCallExpression(at) && at.expression.getText() === 'within') return false;
    if (ts.isPropertyAssignment(at) && /^(words|alsoCalled)$/.test(at.name.getText())) return false;
    if (ts.isTypeNode(at) || ts.isImportDeclaration(at) || ts.isExportDeclaration(at)) return false;
  }
  return true;
}

/** Two words of letters beside each other: no code, no id, no path. */
const SENTENCE = /[A-Za-z’]{2,}[,:;.]? [a-z’]{2,}/;

test('core and contract hold no sentence: codes, values and units only', () => {
  const found = ['core', 'contract']
    .flatMap((workspace) => sources(join(ROOT, workspace, 'src')))
    .flatMap((path) => {
      const name = relative(ROOT, path);
      if (EXCEPT.has(name)) return [];
      const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
      const sentences: string[] = [];
      const visit = (node: ts.Node): void => {
        const text =
          ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
            ? node.text
            : ts.isTemplateExpression(node)
              ? [node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join(' ')
              : '';
        // The words of the catalog, for who reads a recipe, stand with commas or strokes between.
        const isList = /^[^.:;]*(, |\|)[^.:;]*$/.test(text) && /\bcatalog\b/.test(name);
        if (SENTENCE.test(text) && !isList && isForPeople(node)) sentences.push(`${name}: ${text}`);
        node.forEachChild(visit);
      };
      visit(file);
      return sentences;
    });
  expect(found).toEqual([]);
});
