// Shortcuts for people at a keyboard; never while typing, and off where somebody has switched them off.
const SWITCH = 'rheacid keys';

const isTyping = (target) => target.closest('input, select, textarea, dialog') !== null;

export function listenToKeys() {
    const box = document.querySelector('[data-keys]');
    if (box) {
        box.checked = localStorage.getItem(SWITCH) !== 'off';
        box.addEventListener('change', () => localStorage.setItem(SWITCH, box.checked ? 'on' : 'off'));
    }
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
        if (event.key === '?') {
            document.querySelector('#shortcuts')?.showModal();
        } else if (localStorage.getItem(SWITCH) === 'off') {
            return;
        } else if (event.key === '/') {
            event.preventDefault();
            document.querySelector('.top input')?.focus();
        } else if (event.key === 'Enter' && !event.target.closest('a, button, summary')) {
            document.querySelector('[data-primary]')?.click();
        } else if (/^[1-9]$/.test(event.key)) {
            document.querySelectorAll('.rail li a')[Number(event.key) - 1]?.click();
        }
    });
}
