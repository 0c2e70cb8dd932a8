import { lazy, type ComponentType } from 'react';

type Load<Props> = () => Promise<{ default: ComponentType<Props> }>;

/** What to forget before screens that could not be fetched are asked for again. */
const failed = new Set<() => void>();

/** React's own `lazy` remembers a failure for as long as the page lives: whoever tries again lets go of it first. */
export function forgetFailedScreens(): void {
  for (const forget of failed) forget();
  failed.clear();
}

/** A screen whose code is fetched once it is wanted. */
export function screen<Props extends object>(load: Load<Props>): ComponentType<Props> {
  let current: ComponentType<Props> | undefined;
  const fetched = () =>
    load().catch((error: unknown) => {
      failed.add(() => (current = undefined));
      throw error;
    });
  return function Screen(props: Props) {
    const Loaded = (current ??= lazy(fetched) as unknown as ComponentType<Props>);
    return <Loaded {...props} />;
  };
}
