// Words belong above the core, which gives values. Those that are still in it are counted, and may only become fewer.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './run.mjs';

/** String literals with two words and a blank between them, in all of `core/` but its tests. Lower it with every one that goes. */
const MOST = 870;

/** Two words, or a word beside a gap that a value fills. */
const WORDS = /[A-Za-z]{2,}[,;:]? (?:\0|[A-Za-z])|\0 [A-Za-z]{2,}/u;

function countIn(file) {
  const source = ts.createSourceFile(
    file,
    readFileSync(join(root, file), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  let found = 0;
  const visit = (node) => {
    // What a bug is told with is read by whoever mends it.
    if (ts.isThrowStatement(node) || ts.isImportDeclaration(node)) return;
    const text = textOf(node);
    if (text !== undefined && WORDS.test(text)) found++;
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

function textOf(node) {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  return ts.isTemplateExpression(node)
    ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('\0')
    : undefined;
}

const isCore = (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.includes('reference');
const counts = readdirSync(join(root, 'core'), { recursive: true })
  .filter(isCore)
  .map((file) => join('core', file))
  .map((file) => [file, countIn(file)])
  .filter(([, count]) => count > 0)
  .sort((a, b) => b[1] - a[1]);
const total = counts.reduce((sum, [, count]) => sum + count, 0);
console.log(`${total} literals with words in ${counts.length} files of the core, ${MOST} at most.`);
if (total > MOST) {
  for (const [file, count] of counts) console.error(`${String(count).padStart(4)} ${file}`);
  process.exitCode = 1;
}
