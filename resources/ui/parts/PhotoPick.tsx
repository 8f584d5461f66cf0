import { ready } from './photo';

type PhotoPickProps = {
    /** What the button says. */
    says: string;
    className?: string;
    /** The photo, made small enough to be sent; null when none was chosen after all. */
    onPhoto: (photo: File | null) => void;
};

/** A button behind which a photo is chosen, or taken. */
export function PhotoPick({ says, className = '', onPhoto }: PhotoPickProps) {
    return (
        <label
            className={`flex min-h-12 w-fit cursor-pointer items-center rounded-lg border border-ink bg-sheet px-4 font-semibold focus-within:outline-2 focus-within:outline-spruce ${className}`}
        >
            {says}
            <input
                type="file"
                name="photo"
                accept="image/jpeg,image/png,image/webp"
                className="sr-only"
                onChange={(e) => {
                    const chosen = e.target.files?.[0];
                    void (chosen ? ready(chosen).then(onPhoto) : onPhoto(null));
                    e.target.value = '';
                }}
            />
        </label>
    );
}
