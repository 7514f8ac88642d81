// The square on a label: the code that a scanner types into the search.
import { toCanvas } from 'qrcode';

export function drawLabels() {
    for (const canvas of document.querySelectorAll('canvas[data-code]')) {
        toCanvas(canvas, canvas.dataset.code, { margin: 1, width: 96, errorCorrectionLevel: 'M' });
    }
}
