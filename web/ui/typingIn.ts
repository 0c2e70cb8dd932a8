/** Whether keys go into a field, or choose in an open list: they are no shortcuts then. A closed list keeps no letter. */
export const typingIn = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA)$/u.test(target.tagName) ||
    target.closest('[role="listbox"], [role="combobox"][aria-expanded="true"]') !== null);
