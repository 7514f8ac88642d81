import assert from 'node:assert/strict';
import { test } from 'node:test';
import { growTables } from '../../resources/js/points.js';
import { page, presses, types } from './page.js';

const begin = (text = '') => {
    page(`<label for="curve">Curve 1</label><textarea id="curve" data-points="mL;pH">${text}</textarea>`);
    growTables();
};
const inputs = () => [...document.querySelectorAll('.points input')];
const values = () => inputs().map((input) => input.value);

test('a table shows the pairs that stand in the field, and one empty row', () => {
    begin('0; 3,1\n6.2   7.95');

    assert.deepEqual(values(), ['0', '3,1', '6.2', '7.95', '', '']);
    assert.equal(document.querySelector('textarea').hidden, true);
    assert.equal(inputs()[2].getAttribute('aria-label'), 'mL of point 2');
});

test('the table grows as its last row is filled, and the field holds what is sent', () => {
    begin();
    types(inputs()[0], '0');
    assert.equal(inputs().length, 4);
    types(inputs()[1], '3.1');
    types(inputs()[2], '1');

    assert.equal(document.querySelector('textarea').value, '0; 3.1\n1');
    assert.equal(inputs().length, 6);
});

test('Enter goes from number to number', () => {
    begin();
    inputs()[0].focus();
    presses('Enter', inputs()[0]);

    assert.equal(document.activeElement, inputs()[1]);
});

test('the table can be left for the text, and shows what was changed there', () => {
    begin('0; 3.1');
    document.querySelector('button').click();
    const area = document.querySelector('textarea');
    assert.deepEqual([area.hidden, document.querySelector('table').hidden], [false, true]);
    area.value = '5; 4';
    document.querySelector('button').click();

    assert.deepEqual(values(), ['5', '4', '', '']);
});
