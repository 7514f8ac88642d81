// Pairs of numbers are typed in a table that grows by a row as the last one is filled. The text field beneath holds them, one
// pair to a line: it is what is sent and kept, and works alone without scripts or for what is pasted.
const cell = (label, value) => {
    const input = document.createElement('input');
    Object.assign(input, { className: 'form-control', inputMode: 'decimal', autocomplete: 'off', value });
    input.setAttribute('aria-label', label);
    return input;
};

function build(area) {
    const names = area.dataset.points.split(';');
    const table = document.createElement('table');
    table.className = 'points';
    const caption = table.createCaption();
    caption.className = 'visually-hidden';
    caption.textContent = document.querySelector(`label[for="${area.id}"]`)?.textContent ?? '';
    const head = table.createTHead().insertRow();
    for (const name of names) head.append(Object.assign(document.createElement('th'), { scope: 'col', textContent: name }));
    const body = table.createTBody();

    const add = (values = []) => {
        const row = body.insertRow();
        names.forEach((name, i) => row.insertCell().append(cell(`${name} of point ${body.children.length}`, values[i] ?? '')));
    };
    const cells = () => [...body.querySelectorAll('input')];
    const fill = () => {
        body.replaceChildren();
        for (const line of area.value.split('\n').map((one) => one.trim()).filter(Boolean)) add(line.split(/\s*;\s*|\s+/));
        add();
    };
    let isOwn = false;
    const write = () => {
        const lines = [...body.children].map((row) => [...row.querySelectorAll('input')].map((input) => input.value.trim()).filter(Boolean).join('; '));
        area.value = lines.filter(Boolean).join('\n');
        if (lines[lines.length - 1] !== '') add();
        isOwn = true;
        area.dispatchEvent(new Event('input', { bubbles: true }));
        isOwn = false;
    };
    // What was kept in the browser is put back into the text field: the table follows.
    area.addEventListener('input', () => { if (!isOwn && area.hidden) fill(); });
    body.addEventListener('input', (event) => { event.stopPropagation(); write(); });
    // From number to number by Enter: the digits of a phone have no other way on.
    body.addEventListener('keydown', (event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        cells()[cells().indexOf(event.target) + 1]?.focus();
    });

    const swap = Object.assign(document.createElement('button'), { type: 'button', className: 'do link' });
    const show = (asText) => {
        area.hidden = !asText;
        table.hidden = asText;
        swap.textContent = asText ? 'Show as table' : 'Edit as text';
        if (!asText) fill();
    };
    swap.addEventListener('click', () => show(area.hidden));
    area.before(table);
    area.after(swap);
    show(false);
}

export function growTables() {
    document.querySelectorAll('textarea[data-points]').forEach(build);
}
