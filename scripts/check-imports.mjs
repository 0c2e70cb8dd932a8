// Imports point one way: core ← bench, and core ← contract ← server and web. Server and web never meet.
import { cruise } from 'dependency-cruiser';
import { root } from './run.mjs';

const FOLDERS = ['core', 'bench', 'contract', 'server', 'web', 'e2e'];
const ALLOWED = {
  core: [],
  bench: ['core'],
  contract: ['core'],
  server: ['core', 'bench', 'contract'],
  web: ['core', 'bench', 'contract'],
  e2e: ['core', 'bench', 'contract'],
};
/** With fewer modules than this the tool has not understood the sources, and its silence means nothing. */
const LEAST_MODULES = 100;

const forbidden = [
  { name: 'no-ring', severity: 'error', from: {}, to: { circular: true } },
  ...FOLDERS.map((from) => ({
    name: `${from}-imports-only-what-it-may`,
    severity: 'error',
    from: { path: `^${from}/` },
    to: { path: `^(${FOLDERS.filter((to) => to !== from && !ALLOWED[from].includes(to)).join('|')})/` },
  })),
  {
    name: 'core-has-no-packages',
    severity: 'error',
    from: { path: '^core/', pathNot: ['\\.test\\.ts$', '/reference/make'] },
    to: { pathNot: '^core/' },
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
