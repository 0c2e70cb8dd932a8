import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import './signs.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { openOutbox, selectOutbox, sendingAsked } from '../features/outbox/index.ts';
import { App } from './App.tsx';
import { store } from './store.ts';

// Readings that an earlier visit could not send go out now, and again as soon as the network is back.
void openOutbox(store.dispatch);
window.addEventListener('online', () => store.dispatch(sendingAsked()));
// What this browser could not write down would go with the page: it asks before it does.
window.addEventListener('beforeunload', (event) => {
  if (selectOutbox(store.getState()).entries.some(({ notKept }) => notKept)) event.preventDefault();
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html has lost its root element.');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
