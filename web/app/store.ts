import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { outboxKeeper, outboxSender, outboxSlice } from '../features/outbox/index.ts';
import { sheetSlice, sheetStorage } from '../features/sheet/index.ts';
import { wiresSlice, wiresStorage } from '../features/wires/index.ts';
import { api } from './api.ts';
import { preferencesSlice, preferencesStorage } from './preferences.ts';

const reducer = combineReducers({
  [api.reducerPath]: api.reducer,
  [outboxSlice.name]: outboxSlice.reducer,
  [preferencesSlice.name]: preferencesSlice.reducer,
  [sheetSlice.name]: sheetSlice.reducer,
  [wiresSlice.name]: wiresSlice.reducer,
});

export const store = configureStore({
  reducer,
  middleware: (getDefault) =>
    getDefault().prepend(outboxSender.middleware, outboxKeeper.middleware).concat(api.middleware),
});
setupListeners(store.dispatch);

let last = store.getState();
store.subscribe(() => {
  const state = store.getState();
  if (state.preferences !== last.preferences) preferencesStorage.save(state.preferences);
  if (state.sheet !== last.sheet) sheetStorage.save(state.sheet, last.sheet);
  if (state.wires !== last.wires) wiresStorage.save(state.wires, last.wires);
  last = state;
});
