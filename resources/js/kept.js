// What is typed waits in the browser, by person and form, until the server has said that it is recorded.
const PREFIX = 'rheacid kept ';
const DAY_MS = 24 * 3600 * 1000;

const mine = () => `${PREFIX}${document.body.dataset.person} `;
const keyOf = (form) => `${mine()}${location.pathname} ${form.id}`;
const fieldsOf = (form) => [...document.querySelectorAll('input, select, textarea')].filter((field) => field.form === form && field.name && field.name !== '_token' && !['hidden', 'password', 'file'].includes(field.type));
const isBox = (field) => field.type === 'checkbox' || field.type === 'radio';

function save(form) {
    const values = fieldsOf(form).map((field) => [field.name, field.value, isBox(field) ? field.checked : null]);
    localStorage.setItem(keyOf(form), JSON.stringify({ at: Date.now(), number: form.elements.form?.value, values }));
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
    // The same number again: if the first sending did arrive, the second is answered by it and nothing is recorded twice.
    if (form.elements.form) form.elements.form.value = kept.number;
    if (restored) {
        const note = document.createElement('p');
        note.className = 'what';
        note.setAttribute('role', 'status');
        note.textContent = `What you typed at ${new Date(kept.at).toTimeString().slice(0, 5)} is back; it was not recorded yet.`;
        form.before(note);
    }
}

export function keepWhatIsTyped() {
    const confirmed = document.querySelector('meta[name=confirmed]')?.content;
    for (const key of Object.keys(localStorage).filter((name) => name.startsWith(PREFIX))) {
        const kept = JSON.parse(localStorage.getItem(key));
        if (kept.number === confirmed || Date.now() - kept.at > DAY_MS) localStorage.removeItem(key);
    }
    for (const form of document.querySelectorAll('form[data-keep]')) {
        const kept = localStorage.getItem(keyOf(form));
        if (kept) restore(form, JSON.parse(kept));
        // Fields may stand outside their form and name it, so the page is listened to.
        document.addEventListener('input', (event) => { if (event.target.form === form) save(form); });
    }
}
