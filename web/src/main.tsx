import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import './app/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/app';
import { languageToSpeak } from './language/choice';
import { beginToSpeak } from './language/load';
import { keepOnDevice } from './offline/install';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no place for the application');
// After the room is drawn: keeping the rest on the device must not hold it up. Asked for now, for the words take a moment.
window.addEventListener('load', keepOnDevice);
await beginToSpeak(languageToSpeak());
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
