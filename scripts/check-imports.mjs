// Imports point one way: core ← bench, and core ← contract ← words ← server and web. Server and web never meet.
import { cruise } from 'dependency-cruiser';
import { root } from './run.mjs';

/** A room may use those before it, and none after. */
const CORE_ROOMS = ['measure', 'machine', 'record', 'recording', 'judge'];
/** The order of the work: a case file passes each once. */
const WEIGHING_ROOMS = [
  'hypotheses',
  'prediction',
  'likelihood',
  'posterior',
  'outlook',
  'gate',
  'explanation',
];
const FOLDERS = ['core', 'bench', 'strangers', 'words', 'contract', 'server', 'web', 'e2e'];
const ALLOWED = {
  core: [],
  bench: ['core'],
  // Judges the weighing, so that nothing that is shipped knows it.
  strangers: ['core'],
  contract: ['core'],
  words: ['core', 'contract'],
  server: ['core', 'bench', 'words', 'contract'],
  web: ['core', 'bench', 'words', 'contract'],
  // What is tried through the browser may be tried on a stand-in of its own.
  e2e: ['core', 'bench', 'words', 'contract', 'server'],
};
/** A test may build its case with what comes later. */
const TESTS = '\\.test\\.ts$';
/** With fewer modules than this the tool has not understood the sources, and its silence means nothing. */
const LEAST_MODULES = 100;

const inOrder = (folder, rooms) =>
  rooms.slice(0, -1).map((room, i) => ({
    name: `${room}-uses-only-rooms-before-it`,
    severity: 'error',
    from: { path: `^${folder}/${room}/`, pathNot: TESTS },
    to: { path: `^${folder}/(${rooms.slice(i + 1).join('|')})/` },
  }));

const forbidden = [
  ...inOrder('core', CORE_ROOMS),
  ...inOrder('core/judge/weighing', WEIGHING_ROOMS),
  { name: 'no-ring', severity: 'error', from: {}, to: { circular: true } },
  ...FOLDERS.map((from) => ({
    name: `${from}-imports-only-what-it-may`,
    severity: 'error',
    // A test may read in words what is said; the core'''s asks for codes and values.
    from: {
      path: `^${from}/`,
      ...(['bench', 'strangers', 'contract'].includes(from) ? { pathNot: TESTS } : {}),
    },
    to: { path: `^(${FOLDERS.filter((to) => to !== from && !ALLOWED[from].includes(to)).join('|')})/` },
  })),
  {
    name: 'core-has-no-packages',
    severity: 'error',
    from: { path: '^core/', pathNot: ['\\.test\\.ts$', '/reference/make'] },
    to: { pathNot: '^core/' },
  },
  {
    name: 'strangers-know-nothing-of-our-machines',
    severity: 'error',
    from: { path: '^strangers/', pathNot: TESTS },
    to: { path: '^core/(machine/(circuit|wiring|fault|rig)|judge)/', dependencyTypesNot: ['type-only'] },
  },
  {
    name: 'features-meet-through-their-index',
    severity: 'error',
    from: { path: '^web/features/([^/]+)/' },
    to: { path: '^web/features/', pathNot: ['^web/features/$1/', '/index\\.ts$'] },
  },
];

const { output } = await cruise(
  FOLDERS,
  {
    baseDir: root,
    ruleSet: { forbidden },
    validate: true,
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules/(?!@lettura)' },
    exclude: { path: '(^|/)dist/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import'],
      extensions: ['.ts', '.tsx', '.js'],
    },
  },
  undefined,
  { tsConfig: undefined },
);

const { violations, totalCruised } = output.summary;
for (const { rule, from, to } of violations) console.error(`${rule.name}: ${from} → ${to}`);
if (totalCruised < LEAST_MODULES) console.error(`Only ${totalCruised} modules were understood.`);
if (violations.length > 0 || totalCruised < LEAST_MODULES) process.exit(1);
console.log(`${totalCruised} modules, every import points the right way.`);
