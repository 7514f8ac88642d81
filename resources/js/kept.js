// What is typed waits in the browser, by person and form, until the server has said that it is recorded. So does the number
// of each form that was sent, by what was sent with it: the same thing again is the same record, another thing has a number
// of its own.
const TYPED = 'rheacid kept ';
const SENT = 'rheacid sent ';
const DAY_MS = 24 * 3600 * 1000;

const mine = (prefix) => `${prefix}${document.body.dataset.person} `;
const keyOf = (form) => `${mine(TYPED)}${location.pathname} ${form.id}`;
const fieldsOf = (form) => [...document.querySelectorAll('input, select, textarea')].filter((field) => field.form === form && field.name && field.name !== '_token' && !['hidden', 'password', 'file'].includes(field.type));
const isBox = (field) => field.type === 'checkbox' || field.type === 'radio';
// By its attribute: a field called "method" or "action" would answer in its place.
export const isPost = (form) => form.getAttribute('method') === 'post';
const meta = (name) => document.querySelector(`meta[name=${name}]`)?.content;
const read = (key) => JSON.parse(localStorage.getItem(key) ?? 'null');

function save(form) {
    const values = fieldsOf(form).map((field) => [field.name, field.value, isBox(field) ? field.checked : null]);
    localStorage.setItem(keyOf(form), JSON.stringify({ at: Date.now(), values }));
}

function restore(form, kept) {
    let restored = false;
    for (const field of fieldsOf(form)) {
        const found = kept.values.find(([name, value]) => name === field.name && (!isBox(field) || value === field.value));
        if (!found) continue;
        if (isBox(field)) {
            restored ||= field.checked !== found[2];
            field.checked = found[2];
        } else if (field.value !== found[1]) {
            field.value = found[1];
            restored = true;
            field.closest('details')?.setAttribute('open', '');
        }
    }
    if (restored) {
        const note = document.createElement('p');
        note.className = 'what';
        note.setAttribute('role', 'status');
        note.textContent = `What you typed at ${new Date(kept.at).toTimeString().slice(0, 5)} is back; it was not recorded yet.`;
        form.before(note);
    }
}

const newNumber = () => ([1e7] + -1e3 + -4e3 + -8e3 + -1e11).replace(/[018]/g, (c) => (c ^ (crypto.getRandomValues(new Uint8Array(1))[0] & (15 >> (c / 4)))).toString(16));

function numberFor(form, submitter) {
    const body = [...new FormData(form, submitter)].filter(([name]) => name !== '_token' && name !== 'form').map(([name, value]) => `${name}=${value instanceof File ? `${value.name} ${value.size}` : value}`).join('&');
    const key = `${mine(SENT)}${submitter?.getAttribute('formaction') ?? form.getAttribute('action')} ${body}`;
    const numbers = Object.keys(localStorage).filter((name) => name.startsWith(SENT)).map((name) => read(name).number);
    const shown = form.elements.form.value;
    // A page that came back by Back may show a number that was sent with something else, or is recorded.
    const number = read(key)?.number ?? (numbers.includes(shown) || sessionStorage.getItem(`${SENT}${shown}`) ? newNumber() : shown);
    localStorage.setItem(key, JSON.stringify({ at: Date.now(), number, typed: keyOf(form) }));

    return number;
}

function forgetWhatIsRecorded() {
    const confirmed = meta('confirmed');
    if (confirmed) sessionStorage.setItem(`${SENT}${confirmed}`, 'recorded');
    for (const key of Object.keys(localStorage).filter((name) => name.startsWith(SENT) || name.startsWith(TYPED))) {
        const kept = read(key);
        if (kept && kept.number && kept.number === confirmed) {
            localStorage.removeItem(kept.typed);
            localStorage.removeItem(key);
        } else if (!kept || Date.now() - kept.at > DAY_MS) {
            localStorage.removeItem(key);
        }
    }
}

export function keepWhatIsTyped() {
    forgetWhatIsRecorded();
    for (const form of document.querySelectorAll('form[data-keep]')) {
        const kept = read(keyOf(form));
        // A page that was sent back says itself what was typed last.
        if (kept && meta('returned')) save(form);
        else if (kept) restore(form, kept);
        // Fields may stand outside their form and name it, so the page is listened to.
        document.addEventListener('input', (event) => { if (event.target.form === form) save(form); });
    }
    document.addEventListener('submit', (event) => {
        const form = event.target;
        if (!event.defaultPrevented && isPost(form) && form.elements.form) form.elements.form.value = numberFor(form, event.submitter);
    });
}
