import assert from 'node:assert/strict';
import { test } from 'node:test';
import { listenToKeys } from '../../resources/js/keys.js';
import { isOn, listenToSwitches } from '../../resources/js/switches.js';
import { page, presses } from './page.js';

const BENCH = `<nav class="rail"><li><a id="today" href="#">Today</a></li></nav><input id="search">
    <div class="bench"><button name="cup" id="first">1</button><button name="cup" id="second">2</button></div>
    <button data-next id="move">Move</button><button data-primary data-accept aria-disabled="true" id="accept">Accept</button>`;

const clicked = (body) => {
    page(body);
    const seen = [];
    document.addEventListener('click', (event) => seen.push(event.target.id));
    listenToKeys();

    return seen;
};

test('Enter moves the electrode while Accept sleeps, and accepts when it is awake', () => {
    const seen = clicked(BENCH);
    presses('Enter');
    document.querySelector('#accept').setAttribute('aria-disabled', 'false');
    presses('Enter');

    assert.deepEqual(seen, ['move', 'accept']);
});

test('digits choose a cup while work is under way, else a room', () => {
    const atWork = clicked(BENCH);
    presses('2');
    presses('9');
    assert.deepEqual(atWork, ['second']);

    const elsewhere = clicked('<nav class="rail"><li><a id="today" href="#">Today</a></li><li><a id="ready" href="#">Ready</a></li></nav>');
    presses('2');
    assert.deepEqual(elsewhere, ['ready']);
});

test('the search takes the slash, and what is typed in a field does nothing', () => {
    const seen = clicked(BENCH);
    presses('/');
    assert.equal(document.activeElement.id, 'search');
    presses('2', document.querySelector('#search'));
    presses('Enter', document.querySelector('#search'));

    assert.deepEqual(seen, []);
});

test('shortcuts that were switched off do nothing', () => {
    page(`${BENCH}<input type="checkbox" data-switch="keys">`);
    listenToSwitches();
    const box = document.querySelector('[data-switch]');
    assert.equal(box.checked, true);
    box.checked = false;
    box.dispatchEvent(new Event('change'));
    const seen = [];
    document.addEventListener('click', (event) => seen.push(event.target.id));
    listenToKeys();
    presses('2');

    assert.deepEqual([isOn('keys'), isOn('tone'), seen.length], [false, true, 0]);
});
