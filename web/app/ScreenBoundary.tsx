import Button from '@mui/material/Button';
import { Component, type ErrorInfo, type ReactNode } from 'react';
import { forgetFailedScreens } from './screen.tsx';
import { Trouble } from '../ui/Centred.tsx';
import { say } from '@lettura/core/measure/message';
import { t } from '../ui/words.ts';

interface State {
  error: unknown;
}

const RETRY_MS = 4000;

/**
 * Whatever fails while a screen is loaded or drawn is said, with a way on, instead of a white page. A screen that could not be
 * fetched is fetched again by itself; after a new version of the application has come, the page is loaded anew.
 */
export class ScreenBoundary extends Component<{ children: () => ReactNode }, State> {
  override state: State = { error: undefined };
  #timer: ReturnType<typeof setTimeout> | undefined;

  static getDerivedStateFromError(error: unknown): Partial<State> {
    return { error: error ?? new Error('unknown') };
  }

  override componentDidCatch(error: unknown, _info: ErrorInfo): void {
    if (isMissingPart(error)) this.#timer = setTimeout(() => void this.#again(), RETRY_MS);
  }

  override componentWillUnmount(): void {
    clearTimeout(this.#timer);
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (error === undefined) return this.props.children();
    const missing = isMissingPart(error);
    return (
      <Trouble
        message={missing ? say('app.screen-not-loaded') : say('app.screen-stopped')}
        next={missing ? say('app.screen-tried-again') : say('app.screen-try-again')}
      >
        <Button variant="contained" onClick={() => void this.#again()}>
          {t('ui-app.try-again')}
        </Button>
      </Trouble>
    );
  }

  async #again(): Promise<void> {
    clearTimeout(this.#timer);
    if (isMissingPart(this.state.error) && (await hasNewVersion())) {
      location.reload();
      return;
    }
    forgetFailedScreens();
    this.setState({ error: undefined });
  }
}

/** A part of the application that the browser could not fetch: each browser says it in words of its own. */
const isMissingPart = (error: unknown): boolean =>
  error instanceof Error &&
  /dynamically imported module|module script failed|error loading|unable to preload/iu.test(error.message);

/** Whether the page that the server gives now is built from other parts than this one. */
async function hasNewVersion(): Promise<boolean> {
  try {
    const answer = await fetch('/', { cache: 'no-store' });
    if (!answer.ok) return false;
    const now = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const entryOf = (page: Document) => page.querySelector('script[type=module]')?.getAttribute('src');
    return entryOf(now) !== entryOf(document);
  } catch {
    return false;
  }
}
