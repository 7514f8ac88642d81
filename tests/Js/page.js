// A page in memory, without a browser: what the modules find where a browser would have it.
import { Window } from 'happy-dom';

export function page(body, { path = '/measure/1', meta = '', kept = {} } = {}) {
    const window = new Window({ url: `http://127.0.0.1${path}` });
    window.document.head.innerHTML = meta;
    window.document.body.dataset.person = '7';
    window.document.body.innerHTML = body;
    Object.entries(kept).forEach(([key, value]) => window.localStorage.setItem(key, value));
    for (const name of ['document', 'location', 'localStorage', 'sessionStorage', 'Event', 'KeyboardEvent', 'FormData', 'File']) {
        globalThis[name] = window[name];
    }
    Object.defineProperty(globalThis, 'navigator', { value: window.navigator, configurable: true });
    globalThis.window = window;

    return window;
}

export const types = (field, value) => {
    field.value = value;
    field.dispatchEvent(new Event('input', { bubbles: true }));
};

export const presses = (key, target = document.body) => {
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
};
