const SIDE = 1600;

/** A photograph as small as it needs to be, upright, and without what a camera writes into it; as it came where this browser can't. */
export async function smaller(file) {
    try {
        const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
        const scale = Math.min(1, SIDE / Math.max(image.width, image.height));
        const canvas = document.createElement('canvas');
        canvas.width = Math.max(1, Math.round(image.width * scale));
        canvas.height = Math.max(1, Math.round(image.height * scale));
        const context = canvas.getContext('2d');
        context.fillStyle = '#fff';
        context.fillRect(0, 0, canvas.width, canvas.height);
        context.drawImage(image, 0, 0, canvas.width, canvas.height);
        image.close();
        return (await new Promise((done) => canvas.toBlob(done, 'image/jpeg', 0.85))) ?? file;
    } catch {
        return file;
    }
}
