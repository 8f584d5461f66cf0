import { useState } from 'react';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { PhotoPick } from '../../parts/PhotoPick';
import { Choice } from '../../parts/Tabs';
import type { StepProps } from './useStep';

type When = 'as_found' | 'as_left';

/** What a step looked like before, or looks like now: a photo, with a word. */
export function StepPhoto({ card, step, onClose }: StepProps & { onClose: () => void }) {
    const [photo, setPhoto] = useState<File | null>(null);
    const [when, setWhen] = useState<When>('as_found');
    const [text, setText] = useState('');
    const send = useSend((_: { name: string; when: When; text: string }) => {
        const form = new FormData();
        form.append('photo', photo as Blob);
        form.append('when', when);
        form.append('text', text);
        return take(
            api.POST('/api/cards/{id}/steps/{no}/photos', {
                params: { path: { id: card.id, no: step.no } },
                body: form as unknown as { photo: string; when: When },
                bodySerializer: (b) => b as unknown as FormData,
            }),
        );
    }, onClose);
    return (
        <FormDialog
            title={`A photo at step ${step.no}`}
            action="Save the photo"
            ready={photo !== null}
            send={send}
            onSend={() => send.mutate({ name: photo?.name ?? '', when, text })}
            onClose={onClose}
        >
            <Choice
                big
                label="When"
                value={when}
                options={[
                    { value: 'as_found', name: 'As found' },
                    { value: 'as_left', name: 'As left' },
                ]}
                onChange={setWhen}
            />
            <PhotoPick says={photo ? photo.name : 'Choose or take a photo'} className="mt-3" onPhoto={setPhoto} />
            <Field
                label="What it shows"
                name="text"
                className="mt-3"
                value={text}
                onChange={(e) => setText(e.target.value)}
            />
        </FormDialog>
    );
}
