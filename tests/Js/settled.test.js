import assert from 'node:assert/strict';
import { afterEach, mock, test } from 'node:test';
import { watchOverReading } from '../../resources/js/settled.js';
import { page, types } from './page.js';

const READING = `<div class="ring typed" data-window="60" data-gates><span class="n"></span><svg><circle class="arc"></circle></svg></div>
    <p data-says></p><input name="ph" data-watched="watched_s"><input type="hidden" name="watched_s">
    <input type="checkbox" name="still"><button data-accept aria-disabled="true">Accept<span data-wait></span></button>`;

const begin = (body = READING) => {
    page(body);
    mock.timers.enable({ apis: ['Date', 'setInterval'], now: 1_000_000 });
    watchOverReading();
};
afterEach(() => mock.timers.reset());

const field = (name) => document.querySelector(`[name=${name}]`);
const accept = () => document.querySelector('[data-accept]');

test('a typed number is watched for the whole window before Accept wakes', () => {
    begin();
    types(field('ph'), '4.52');
    mock.timers.tick(59_000);
    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['true', '']);
    assert.equal(document.querySelector('[data-wait]').textContent, ' in 1 s');
    mock.timers.tick(1_000);

    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['false', '60']);
    assert.equal(document.querySelector('[data-wait]').textContent, ': still 4.52');
    assert.equal(document.querySelector('[data-says]').textContent, 'The reading is stable.');
});

test('another number starts the ring anew', () => {
    begin();
    types(field('ph'), '4.52');
    mock.timers.tick(60_000);
    types(field('ph'), '4.53');

    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['true', '']);
    assert.equal(document.querySelector('.ring .n').textContent, '0 s');
});

test('a number that is taken away is watched no more', () => {
    begin();
    types(field('ph'), '4.52');
    types(field('ph'), '');
    mock.timers.tick(120_000);

    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['true', '']);
});

test('who says that it stood before wakes Accept, but has not watched', () => {
    begin();
    types(field('ph'), '4.52');
    field('still').checked = true;
    field('still').dispatchEvent(new Event('input'));

    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['false', '']);
});

test('what was watched and sent back with a question is not watched a second time', () => {
    begin(READING.replace('data-watched="watched_s"', 'data-watched="watched_s" value="4.52"').replace('name="watched_s"', 'name="watched_s" value="60"'));

    assert.deepEqual([accept().getAttribute('aria-disabled'), field('watched_s').value], ['false', '60']);
});
