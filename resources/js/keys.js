// Shortcuts for people at a keyboard or with a foot switch; never while typing, and off where somebody has switched them off.
import { isOn } from './switches.js';

const isTyping = (target) => target.closest('input, select, textarea, dialog') !== null;

// Enter does what the screen asks for now: while Accept sleeps, the electrode goes where it belongs.
function primary() {
    const accept = document.querySelector('[data-primary]');
    const next = document.querySelector('[data-next]');

    return next && (!accept || accept.getAttribute('aria-disabled') === 'true') ? next : accept;
}

export function listenToKeys() {
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
        if (event.key === '?') {
            document.querySelector('#shortcuts')?.showModal();
        } else if (!isOn('keys')) {
            return;
        } else if (event.key === '/') {
            event.preventDefault();
            document.querySelector('#search')?.focus();
        } else if (event.key === 'Enter' && !event.target.closest('a, button, summary')) {
            primary()?.click();
        } else if (/^[1-9]$/.test(event.key)) {
            // A digit never leaves work that is under way.
            const places = document.querySelector('[data-accept]') ? '.bench button[name=cup]' : '.rail li a';
            document.querySelectorAll(places)[Number(event.key) - 1]?.click();
        }
    });
}
