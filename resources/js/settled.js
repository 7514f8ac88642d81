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

// Seconds since the digits were typed or touched: the checker's own stillness, counted like the trace of a meter.
function countTyped() {
    const box = document.querySelector('[data-still]');
    if (!box) return;
    const ring = document.querySelector('.ring.typed');
    const windowS = Number(box.dataset.still);
    let since = null;
    const begin = () => { since = Date.now(); box.checked = false; };
    document.querySelectorAll('[name=mv], [name=shown_ph]').forEach((field) => field.addEventListener('input', begin));
    document.querySelector('[data-changed]')?.addEventListener('click', begin);
    setInterval(() => {
        if (since === null) return;
        const still = Math.min(windowS, Math.floor((Date.now() - since) / 1000));
        ring.querySelector('.n').textContent = `${still} s`;
        ring.querySelector('.arc').setAttribute('stroke-dasharray', `${still / windowS * 100} 100`);
        ring.querySelector('.arc').classList.toggle('full', still >= windowS);
        if (still >= windowS && !box.checked) {
            box.checked = true;
            box.dispatchEvent(new Event('input', { bubbles: true }));
            saySettled(false);
            saySettled(true);
            since = null;
        }
    }, 250);
}

export function watchOverReading() {
    if (!document.querySelector('[data-accept]')) return;
    const standing = document.querySelector('[data-progress]');
    // How it stood when the page came: the first change from there is said.
    if (standing) was = standing.dataset.settled === 'yes';
    // A tone is allowed only after the page was touched.
    const wake = () => { sound ??= window.AudioContext ? new AudioContext() : null; sound?.resume(); };
    ['pointerdown', 'keydown'].forEach((event) => document.addEventListener(event, wake));
    stayAwake();
    document.addEventListener('visibilitychange', () => { if (document.visibilityState === 'visible') stayAwake(); });
    countTyped();
}
