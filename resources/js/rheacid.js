// Little is done here: htmx fetches the live trace, the rest is comfort for the hands. Every page works without it.
import htmx from 'htmx.org';
import { isPost, keepWhatIsTyped } from './kept.js';
import { listenToKeys } from './keys.js';
import { growTables } from './points.js';
import { saySettled, watchOverReading } from './settled.js';
import { listenToSwitches } from './switches.js';

htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.selfRequestsOnly = true;

function sayConnected(connected) {
    const note = document.querySelector('.offline');
    if (note) note.hidden = connected;
}

// The live part of a page says how the reading stands; the Accept button outside it follows, so that it keeps the focus.
function followStanding() {
    const standing = document.querySelector('[data-progress]');
    const accept = document.querySelector('[data-accept]');
    if (!standing || !accept) return;
    const { settled, wait, seen } = standing.dataset;
    accept.setAttribute('aria-disabled', settled === 'yes' ? 'false' : 'true');
    accept.querySelector('[data-wait]').textContent = settled === 'yes' || wait === '' ? '' : ` in ${wait} s`;
    document.querySelectorAll('[name=seen_s]').forEach((field) => { field.value = seen; });
    saySettled(settled === 'yes');
    sayConnected(true);
}
document.addEventListener('htmx:afterSwap', followStanding);

// Nobody sees a page in the background: it asks for new points again when it comes back.
document.addEventListener('htmx:beforeRequest', (event) => {
    if (document.hidden && event.target.matches('#live, #burette')) event.preventDefault();
});

// A lost connection is said on the page; it mends itself at the next answer.
const sayOffline = () => sayConnected(false);
document.addEventListener('htmx:sendError', sayOffline);
document.addEventListener('htmx:responseError', sayOffline);
window.addEventListener('offline', sayOffline);
window.addEventListener('online', () => sayConnected(true));

// A button that sleeps does nothing; the server would refuse it all the same.
document.addEventListener('click', (event) => {
    if (event.target.closest('[aria-disabled=true]')) event.preventDefault();
});

// One sending of a form is enough, and without a connection none is tried: the typed values would leave the screen.
document.addEventListener('submit', (event) => {
    const form = event.target;
    if (form.dataset.sent || (isPost(form) && !navigator.onLine)) {
        event.preventDefault();
        if (!navigator.onLine) sayOffline();
    } else if (isPost(form)) {
        form.dataset.sent = 'yes';
        setTimeout(() => delete form.dataset.sent, 4000);
    }
});

document.addEventListener('click', (event) => {
    if (event.target.closest('[data-print]')) {
        event.preventDefault();
        window.print();
    }
});

// A phone's digits have no minus.
document.addEventListener('click', (event) => {
    const button = event.target.closest('[data-sign]');
    if (!button) return;
    const field = document.getElementById(button.dataset.sign);
    field.value = field.value.startsWith('-') || field.value.startsWith('−') ? field.value.slice(1) : `-${field.value}`;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.focus();
});

// From number to number by Enter, and only the last one sends them: a phone's digits have no other way on.
document.addEventListener('keydown', (event) => {
    const form = event.target.form;
    if (event.key !== 'Enter' || event.target.tagName !== 'INPUT' || !form?.matches('[data-chain]')) return;
    const numbers = [...form.querySelectorAll('input[inputmode=decimal]:not([data-optional])')];
    const next = numbers.slice(numbers.indexOf(event.target) + 1).find((field) => field.value.trim() === '');
    if (!next || !numbers.includes(event.target)) return;
    event.preventDefault();
    next.focus();
});

document.addEventListener('change', (event) => {
    if (event.target.matches('[data-ticks-all]')) {
        document.querySelectorAll(`[name="${event.target.name}"]`).forEach((box) => { box.checked = event.target.checked; });
    }
    if (event.target.matches('[data-submits]')) event.target.form.requestSubmit();
});

// A long file: what is going on, and that the page may be left once it is sent.
document.addEventListener('submit', (event) => {
    const status = event.target.querySelector('[data-sending]');
    const size = event.target.querySelector('[type=file]')?.files?.[0]?.size ?? 0;
    if (!status || size < 200_000) return;
    status.hidden = false;
    setTimeout(() => { status.querySelector('span').textContent = 'Reading and judging the file. You can leave this page.'; }, 1500);
});

document.querySelectorAll('[data-scripted]').forEach((element) => element.removeAttribute('hidden'));
listenToSwitches();
keepWhatIsTyped();
growTables();
listenToKeys();
watchOverReading();
followStanding();
if (document.querySelector('canvas[data-code]')) import('./labels.js').then(({ drawLabels }) => drawLabels());

// Whoever founds a site mostly sits in its zone.
const zone = document.querySelector('[data-zone]');
if (zone && zone.value === '') zone.value = Intl.DateTimeFormat().resolvedOptions().timeZone ?? '';
