import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Asked, api, take } from '../../api/client';
import { useFigures, useMe, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { FilePick } from '../../parts/FilePick';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Page, Wait } from '../../parts/Page';

/** The drawings of one type, for the steps of its cards. */
export function Figures() {
    const type = useParams().type ?? '';
    const may = useMe().data?.may.includes('write');
    const [adding, setAdding] = useState(false);
    return (
        <Wait query={useFigures(type)}>
            {(figures) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/library">
                            Library
                        </Link>
                    }
                    sentence={
                        figures.length === 0
                            ? `No figure of the ${type} yet.`
                            : `${figures.length} ${figures.length === 1 ? 'figure' : 'figures'} for the cards of the ${type}.`
                    }
                    note="A card that is made keeps the drawing it was made with; a newer one shows on the next."
                    actions={may ? <Button onClick={() => setAdding(true)}>Add or draw anew …</Button> : undefined}
                >
                    <ul className="grid grid-cols-2 gap-8 max-[900px]:grid-cols-1">
                        {figures.map((f) => (
                            <li key={f.code}>
                                <Figure figure={f} marks={[]} />
                                <span className="text-sm text-soft">version {f.version}</span>
                            </li>
                        ))}
                    </ul>
                    {adding && <Add type={type} onClose={() => setAdding(false)} />}
                </Page>
            )}
        </Wait>
    );
}

const base64 = async (file: File): Promise<string> => {
    const bytes = new Uint8Array(await file.arrayBuffer());
    let text = '';
    for (const b of bytes) {
        text += String.fromCharCode(b);
    }
    return btoa(text);
};

function Add({ type, onClose }: { type: string; onClose: () => void }) {
    const { values, bind } = useFields({ code: '', title: '' });
    const [file, setFile] = useState<File | null>(null);
    const send = useSend(
        async (body: Asked<'saveFigure'>, headers) =>
            take(api.POST('/api/library/figures/{type}', { params: { path: { type } }, body, headers })),
        onClose,
        { affects: touches.library },
    );
    return (
        <FormDialog
            title={`A figure for the ${type}`}
            action="Save it"
            ready={values.code.trim() !== '' && values.title.trim() !== '' && file !== null}
            send={send}
            onSend={() => {
                if (file) {
                    void base64(file).then((data) => send.mutate({ ...values, data }));
                }
            }}
            onClose={onClose}
        >
            <Field
                label="Number"
                autoFocus
                placeholder="F-29-11"
                hint="One that is there already gets a new version."
                {...bind('code')}
            />
            <Field label="What it shows" {...bind('title')} />
            <FilePick
                says={file?.name ?? 'Choose an SVG of shapes and text, or a PNG: 300 kB at most'}
                name="figure"
                accept=".svg,.png"
                onFile={setFile}
            />
        </FormDialog>
    );
}
