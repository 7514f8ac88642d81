// What a person has switched off on this device stays off.
const keyOf = (name) => `rheacid ${name}`;

export const isOn = (name) => localStorage.getItem(keyOf(name)) !== 'off';

export function listenToSwitches() {
    for (const box of document.querySelectorAll('[data-switch]')) {
        box.checked = isOn(box.dataset.switch);
        box.addEventListener('change', () => localStorage.setItem(keyOf(box.dataset.switch), box.checked ? 'on' : 'off'));
    }
}
