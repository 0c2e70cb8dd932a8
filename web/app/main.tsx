import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { sendingAsked } from '../features/outbox/index.ts';
import { App } from './App.tsx';
import { store } from './store.ts';

// Readings that an earlier visit could not send go out now, and again as soon as the network is back.
store.dispatch(sendingAsked());
window.addEventListener('online', () => store.dispatch(sendingAsked()));

const root = document.getElementById('root');
if (!root) throw new Error('index.html has lost its root element.');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
