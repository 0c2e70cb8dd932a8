/** Who asked: written beside every row. There is no sign-in yet, so that there is one. */
export interface Actor {
  author: string;
}

export const LOCAL_ACTOR: Actor = { author: 'local' };
