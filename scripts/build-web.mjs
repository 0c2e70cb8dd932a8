// npm run build: the web application, with its parts compressed ahead of time.
import { ensureWebBuild } from './build.mjs';
import { main } from './say.mjs';

await main(ensureWebBuild);
