// Little is done here: htmx fetches the live trace, the rest is comfort for the keyboard. Every page works without it.
import htmx from 'htmx.org';

htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.selfRequestsOnly = true;

// The live part of a page says how the reading stands; the Accept button outside it follows, so that it keeps the focus.
function followStanding() {
    const standing = document.querySelector('[data-standing]');
    const accept = document.querySelector('[data-accept]');
    if (!standing || !accept) return;
    const { settled, wait, seen } = standing.dataset;
    accept.setAttribute('aria-disabled', settled === 'yes' ? 'false' : 'true');
    accept.querySelector('[data-wait]').textContent = settled === 'yes' || wait === '' ? '' : ` in ${wait} s`;
    document.querySelectorAll('[name=seen_s]').forEach((field) => { field.value = seen; });
}
document.addEventListener('htmx:afterSwap', followStanding);

// A button that sleeps does nothing; the server would refuse it all the same.
document.addEventListener('click', (event) => {
    if (event.target.closest('[aria-disabled=true]')) event.preventDefault();
});

// One sending of a form is enough.
document.addEventListener('submit', (event) => {
    const form = event.target;
    if (form.dataset.sent) {
        event.preventDefault();
    } else if (form.method === 'post') {
        form.dataset.sent = 'yes';
        setTimeout(() => delete form.dataset.sent, 4000);
    }
});

document.addEventListener('change', (event) => {
    if (event.target.matches('[data-submits]')) event.target.form.requestSubmit();
});

const isTyping = (target) => target.closest('input, select, textarea, dialog') !== null;

document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
    const rooms = document.querySelectorAll('.rail li a');
    if (event.key === '/') {
        event.preventDefault();
        document.querySelector('.top input')?.focus();
    } else if (event.key === '?') {
        document.querySelector('#shortcuts')?.showModal();
    } else if (event.key === 'Enter' && !event.target.closest('a, button, summary')) {
        document.querySelector('[data-primary]')?.click();
    } else if (/^[1-9]$/.test(event.key)) {
        rooms[Number(event.key) - 1]?.click();
    }
});
