// The square on a label: the code that a scanner types into the search; and the key that a phone takes.
import { toCanvas } from 'qrcode';

export function drawLabels() {
    for (const canvas of document.querySelectorAll('canvas[data-code]')) {
        canvas.hidden = false;
        toCanvas(canvas, canvas.dataset.code, { margin: 1, width: Number(canvas.getAttribute('width')), errorCorrectionLevel: 'M' });
    }
}
