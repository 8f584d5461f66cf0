/** Bytes from which on a photo is made smaller before it is sent: a hangar's network is slow, and the server takes 8 MB. */
const LARGE = 2_000_000;

/** The longer side that it then has, in pixels: enough to see a scratch by. */
const SIDE = 3000;

/** What the server takes, and with what quality that is reached: the best that is small enough. */
const MOST = 8_000_000;
const QUALITIES = [0.88, 0.7, 0.5];

/** How large a picture is drawn so that its longer side fits, in whole pixels; a smaller one stays as it is. */
export function fitted(width: number, height: number, side = SIDE): [number, number] {
    const by = Math.min(1, side / Math.max(width, height));
    return [Math.max(1, Math.round(width * by)), Math.max(1, Math.round(height * by))];
}

/** A photo as it is sent: a large one smaller, the right way up; as it was where this browser cannot read it, or it gained nothing. */
export async function ready(photo: File): Promise<File> {
    if (photo.size <= LARGE || !photo.type.startsWith('image/')) {
        return photo;
    }
    try {
        const picture = await createImageBitmap(photo, { imageOrientation: 'from-image' });
        const [width, height] = fitted(picture.width, picture.height);
        const canvas = document.createElement('canvas');
        canvas.width = width;
        canvas.height = height;
        canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height);
        picture.close();
        let small: Blob | null = null;
        for (const quality of QUALITIES) {
            small = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
            if (small !== null && small.size <= MOST) {
                break;
            }
        }
        return small !== null && small.size < photo.size
            ? new File([small], photo.name.replace(/\.\w+$/, '.jpg'), { type: 'image/jpeg' })
            : photo;
    } catch {
        return photo;
    }
}
