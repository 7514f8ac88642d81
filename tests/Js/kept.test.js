import assert from 'node:assert/strict';
import { test } from 'node:test';
import { keepWhatIsTyped } from '../../resources/js/kept.js';
import { page, types } from './page.js';

const FORM = `<form id="reading" method="post" action="/readings" data-keep>
    <input name="_token" value="t"><input type="hidden" name="form" value="11111111-1111-4111-8111-111111111111">
    <input name="ph"><input type="checkbox" name="seen" value="1"><input type="password" name="pin"></form>`;

const storage = () => Object.fromEntries(Object.keys(localStorage).map((key) => [key, localStorage.getItem(key)]));
const send = () => {
    const form = document.querySelector('form');
    form.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));

    return form.elements.form.value;
};

test('what was typed is there again when the page comes back, a secret is not', () => {
    page(FORM);
    keepWhatIsTyped();
    types(document.querySelector('[name=ph]'), '4.52');
    document.querySelector('[name=seen]').checked = true;
    types(document.querySelector('[name=pin]'), '482915');
    const kept = storage();

    page(FORM, { kept });
    keepWhatIsTyped();

    assert.equal(document.querySelector('[name=ph]').value, '4.52');
    assert.equal(document.querySelector('[name=seen]').checked, true);
    assert.equal(document.querySelector('[name=pin]').value, '');
    assert.match(document.querySelector('[role=status]').textContent, /is back; it was not recorded yet/);
});

test('another person and another page find nothing of it', () => {
    page(FORM);
    keepWhatIsTyped();
    types(document.querySelector('[name=ph]'), '4.52');
    const kept = storage();

    page(FORM, { kept, path: '/measure/2' });
    keepWhatIsTyped();
    assert.equal(document.querySelector('[name=ph]').value, '');

    page(FORM, { kept });
    document.body.dataset.person = '8';
    keepWhatIsTyped();
    assert.equal(document.querySelector('[name=ph]').value, '');
});

test('the same thing sent again has the same number, another thing another', () => {
    page(FORM);
    keepWhatIsTyped();
    types(document.querySelector('[name=ph]'), '4.52');
    const first = send();
    assert.equal(send(), first);
    types(document.querySelector('[name=ph]'), '4.53');
    const second = send();

    assert.notEqual(second, first);
    assert.match(second, /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});

test('what the page confirms as recorded is forgotten', () => {
    page(FORM);
    keepWhatIsTyped();
    types(document.querySelector('[name=ph]'), '4.52');
    const number = send();
    const kept = storage();

    page(FORM, { kept, meta: `<meta name="confirmed" content="${number}">` });
    keepWhatIsTyped();

    assert.deepEqual(Object.keys(storage()), []);
    assert.equal(document.querySelector('[name=ph]').value, '');
});

test('what is older than a day is forgotten', () => {
    page(FORM, { kept: { 'rheacid kept 7 /measure/1 reading': JSON.stringify({ at: Date.now() - 25 * 3600 * 1000, values: [['ph', '4.52', null]] }) } });
    keepWhatIsTyped();

    assert.deepEqual(Object.keys(storage()), []);
    assert.equal(document.querySelector('[name=ph]').value, '');
});
