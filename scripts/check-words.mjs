// Whatever the program says is a code with its values: every code has its message, every message its code, and the values
// are those that the message shows. The core itself has no words.
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import ts from 'typescript';
import { root } from './run.mjs';

const faults = [];
const fault = (file, line, what) => faults.push(`${relative(root, file)}:${line}: ${what}`);

/** Every message of the English catalogue, with the arguments that it takes. */
function catalogue() {
  const messages = new Map();
  const folder = join(root, 'words', 'en');
  const index = readFileSync(join(folder, 'index.ts'), 'utf8');
  for (const name of readdirSync(folder).filter((one) => one.endsWith('.json'))) {
    const file = join(folder, name);
    if (!index.includes(`'./${name}'`)) fault(file, 1, 'is not in the index beside it');
    for (const [code, text] of Object.entries(JSON.parse(readFileSync(file, 'utf8')))) {
      if (messages.has(code)) fault(file, 1, `“${code}” has a message already`);
      try {
        messages.set(code, { file, takes: argumentsOf(parse(text)), used: false });
      } catch (error) {
        fault(file, 1, `“${code}” cannot be read: ${error.message}`);
      }
    }
  }
  return messages;
}

/** By name: shown as it is, as a number, or choosing between variants. */
function argumentsOf(elements, found = new Map()) {
  for (const element of elements) {
    if (element.type === TYPE.literal || element.type === TYPE.pound) continue;
    const kind =
      element.type === TYPE.select ? 'choice' : element.type === TYPE.argument ? 'shown' : 'number';
    // A number may be shown in one place and choose a plural in another.
    if (found.get(element.value) !== 'number') found.set(element.value, kind);
    for (const option of Object.values(element.options ?? {})) argumentsOf(option.value, found);
  }
  return found;
}

/** What a value is, by its type. */
function kindOf(type) {
  const parts = type.isUnion() ? type.types : [type];
  const all = (flag) => parts.every((part) => part.flags & flag);
  if (all(ts.TypeFlags.StringLiteral | ts.TypeFlags.BooleanLiteral)) return 'choice';
  return all(ts.TypeFlags.NumberLike) ? 'number' : 'shown';
}

function codesOf(type) {
  const parts = type.isUnion() ? type.types : [type];
  return parts.every((part) => part.isStringLiteral()) ? parts.map(({ value }) => value) : undefined;
}

function checkCalls(messages) {
  const config = ts.getParsedCommandLineOfConfigFile(
    join(root, 'tsconfig.json'),
    {},
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: () => undefined,
    },
  );
  const program = ts.createProgram(
    config.fileNames.filter((name) => !/\.test\.tsx?$/u.test(name)),
    config.options,
  );
  const checker = program.getTypeChecker();
  for (const source of program.getSourceFiles()) {
    if (source.fileName.includes('node_modules')) continue;
    const visit = (node) => {
      if (
        ts.isCallExpression(node) &&
        ts.isIdentifier(node.expression) &&
        (node.expression.text === 'say' || node.expression.text === 't')
      )
        checkCall(node, source, checker, messages);
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
}

function checkCall(call, source, checker, messages) {
  const [first, second] = call.arguments;
  const line = source.getLineAndCharacterOfPosition(call.getStart()).line + 1;
  const report = (what) => fault(source.fileName, line, what);
  const symbol = checker.getSymbolAtLocation(call.expression);
  const declared =
    symbol && (symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol);
  const { fileName = '' } = declared?.declarations?.[0]?.getSourceFile() ?? {};
  const onScreen = fileName.endsWith('web/ui/words.ts');
  if (!onScreen && !fileName.endsWith('message/message.ts')) return;
  const codes = codesOf(checker.getTypeAtLocation(first));
  if (!codes) return report('its code is not one of a few that are written out');
  const values = second ? checker.getTypeAtLocation(second).getProperties() : [];
  for (const code of codes) {
    const message = messages.get(code);
    if (!message) {
      report(`“${code}” has no message`);
      continue;
    }
    message.used = true;
    const given = new Map(
      values.map((one) => [one.name, kindOf(checker.getTypeOfSymbolAtLocation(one, second))]),
    );
    for (const [name, kind] of message.takes) {
      const is = given.get(name);
      if (is === undefined) report(`“${code}” shows {${name}}, which is not given`);
      // On the screen a number may stand as it is.
      else if (is !== kind && !(onScreen && kind === 'shown' && is === 'number'))
        report(`“${code}” takes {${name}} as ${kind}, and it is given as ${is}`);
    }
    for (const name of given.keys())
      if (!message.takes.has(name)) report(`“${code}” is given ${name}, and does not say it`);
  }
}

/** Two words, or a word beside a gap that a value fills. */
const WORDS = /[A-Za-z]{2,}[,;:]? (?:\0|[A-Za-z])|\0 [A-Za-z]{2,}/u;
/** Names that are data: of example sensors, and of columns and items as files and their standard have them; ids with a blank. */
const DATA = /(exampleSensors|live\/liveItems|file\/layout|posterior\/cause|likelihood\/weigher)\.ts$/u;

function checkCore() {
  const files = readdirSync(join(root, 'core'), { recursive: true }).filter(
    (file) =>
      file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.includes('reference') && !DATA.test(file),
  );
  for (const name of files) {
    const file = join(root, 'core', name);
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
    const visit = (node) => {
      // What a bug is told with is read by whoever mends it.
      if (ts.isThrowStatement(node) || ts.isImportDeclaration(node)) return;
      const text = textOf(node);
      if (text !== undefined && WORDS.test(text))
        fault(
          file,
          source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
          `words in the core: ${text}`,
        );
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
}

function textOf(node) {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  return ts.isTemplateExpression(node)
    ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('\0')
    : undefined;
}

const messages = catalogue();
/** Said no more, but in recordings of earlier versions. */
const ON_RECORD = ['sweep.odd-in-the-file'];
checkCalls(messages);
for (const [code, { file, used }] of messages)
  if (!used && !code.startsWith('say.') && !ON_RECORD.includes(code)) fault(file, 1, `nobody says “${code}”`);
checkCore();
console.log(`${messages.size} messages, ${faults.length} faults.`);
if (faults.length > 0) {
  for (const one of faults) console.error(one);
  process.exitCode = 1;
}
