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
 * fetched is fetched again by itself: once the server answers, by loading the page anew, since browsers remember for as long as
 * a page lives that a part of it could not be fetched, and since a new version has other parts. What was typed outlives that.
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
    if (isMissingPart(this.state.error) && (await isServed()) && mayReload()) {
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

async function isServed(): Promise<boolean> {
  try {
    return (await fetch('/', { cache: 'no-store' })).ok;
  } catch {
    return false;
  }
}

const RELOADED = 'lettura.reloaded-at';
/** A part that is missing for good must not make the page load for ever. */
const LEAST_BETWEEN_MS = 30_000;

function mayReload(): boolean {
  try {
    if (Date.now() - Number(sessionStorage.getItem(RELOADED) ?? 0) < LEAST_BETWEEN_MS) return false;
    sessionStorage.setItem(RELOADED, String(Date.now()));
    return true;
  } catch {
    // Without a storage nothing says how often that was.
    return false;
  }
}
