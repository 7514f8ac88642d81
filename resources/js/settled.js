// Eyes on the cup: when a reading has settled, a soft tone and a vibration say so, and the screen stays awake meanwhile.
import { isOn } from './switches.js';

let sound = null;

function tone() {
    if (!isOn('tone')) return;
    navigator.vibrate?.(180);
    if (!sound || sound.state !== 'running') return;
    const [swing, loudness] = [sound.createOscillator(), sound.createGain()];
    swing.frequency.value = 660;
    loudness.gain.setValueAtTime(0.12, sound.currentTime);
    loudness.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + 0.6);
    swing.connect(loudness).connect(sound.destination);
    swing.start();
    swing.stop(sound.currentTime + 0.6);
    swing.addEventListener('ended', () => { document.documentElement.dataset.toned = 'yes'; });
}

let was = null;

// For those who listen: a region that is there before it speaks.
function say(words) {
    const region = document.querySelector('[data-says]');
    if (region) region.textContent = words;
}

export function saySettled(settled) {
    if (!settled && was) say('The reading is no longer stable.');
    if (settled && was === false) {
        say(`The reading is stable${document.querySelector('#live .n') ? `: ${document.querySelector('#live .n').textContent}` : ''}.`);
        document.documentElement.dataset.settled = 'yes';
        tone();
    }
    was = settled;
}

async function stayAwake() {
    try {
        await navigator.wakeLock?.request('screen');
    } catch {
        // The browser does not allow it now, for instance on low battery.
    }
}

// A typed number is watched: the ring fills from the moment it was typed, and starts anew with another number. Each field has a
// hidden one beside it that tells for how long; the one typed last has the ring.
function watchTyped() {
    const ring = document.querySelector('.ring.typed');
    if (!ring) return;
    const windowS = Number(ring.dataset.window);
    // Where a trace runs beside it, that one wakes Accept.
    const accept = ring.hasAttribute('data-gates') && !document.querySelector('[data-progress]') ? document.querySelector('[data-accept]') : null;
    const said = document.querySelector('[name=still]');
    let watched = null;
    let since = null;
    const begin = (field) => {
        watched = document.querySelector(`[name="${field.dataset.watched}"]`);
        since = field.value.trim() === '' ? null : Date.now();
        watched.value = '';
        show();
    };
    const show = () => {
        const seconds = since === null ? 0 : Math.min(windowS, Math.floor((Date.now() - since) / 1000));
        const isFull = seconds >= windowS;
        ring.querySelector('.n').textContent = `${seconds} s`;
        ring.querySelector('.arc').setAttribute('stroke-dasharray', `${seconds / windowS * 100} 100`);
        ring.querySelector('.arc').classList.toggle('full', isFull);
        if (isFull && watched.value === '') {
            saySettled(false);
            saySettled(true);
        }
        if (since !== null) watched.value = isFull ? String(windowS) : '';
        if (!accept) return;
        accept.setAttribute('aria-disabled', isFull || said?.checked ? 'false' : 'true');
        accept.querySelector('[data-wait]').textContent = isFull ? `: still ${document.querySelector(`[data-watched="${watched.name}"]`).value.trim()}` : said?.checked || since === null ? '' : ` in ${windowS - seconds} s`;
    };
    const fields = [...document.querySelectorAll('[data-watched]')];
    fields.forEach((field) => {
        field.addEventListener('input', () => begin(field));
        // Watched already, and sent back with a question: it is not watched a second time.
        const known = Number(document.querySelector(`[name="${field.dataset.watched}"]`).value);
        if (field.value.trim() !== '') begin(field);
        if (known >= windowS) since = Date.now() - windowS * 1000;
    });
    said?.addEventListener('input', show);
    show();
    setInterval(show, 250);
}

export function watchOverReading() {
    if (!document.querySelector('[data-accept], .ring.typed')) return;
    const standing = document.querySelector('[data-progress]');
    // How it stood when the page came: the first change from there is said.
    if (standing) was = standing.dataset.settled === 'yes';
    // A tone is allowed only after the page was touched.
    const wake = () => { sound ??= window.AudioContext ? new AudioContext() : null; sound?.resume(); };
    ['pointerdown', 'keydown'].forEach((event) => document.addEventListener(event, wake));
    stayAwake();
    document.addEventListener('visibilitychange', () => { if (document.visibilityState === 'visible') stayAwake(); });
    watchTyped();
}
