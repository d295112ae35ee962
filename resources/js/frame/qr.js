import QRCode from 'qrcode';

/** Draws addresses as codes to scan, on the page itself. */
export function attachCodes(root) {
    for (const holder of root.querySelectorAll('[data-qr]')) {
        QRCode.toString(holder.dataset.qr, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }).then((drawn) => {
            holder.innerHTML = drawn;
        });
    }
}
