export { OutboxBanner } from './OutboxBanner.tsx';
export { openOutbox, outboxKeeper } from './outboxKeeper.ts';
export { outboxSender } from './outboxSender.ts';
export { readingQueued, selectOutbox, sendingAsked, outboxSlice } from './outboxSlice.ts';
export { outboxStorage } from './outboxStorage.ts';
