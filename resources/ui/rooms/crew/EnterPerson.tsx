import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { FormDialog } from '../../parts/FormDialog';
import { type As, PersonFields } from './PersonFields';
import { FirstSecrets, type Given } from './Secrets';

/** Somebody new: who they are, and the password and PIN they begin with. */
export function EnterPerson({ choices, onClose }: { choices: Schemas['ChoicesView']; onClose: () => void }) {
    const navigate = useNavigate();
    const [as, setAs] = useState<As>({
        name: '',
        stamp: '',
        role: 'technician',
        base: choices.bases[0] ?? '',
        shift: choices.shifts[0] ?? '',
        weekdays: [1, 2, 3, 4, 5],
        trainee: false,
        supervisor: null,
        leaves: null,
    });
    const [login, setLogin] = useState('');
    const [given, setGiven] = useState<Given>({ password: '', pin: '' });
    const send = useSend(
        (body: As & Given & { login: string }, headers) => take(api.POST('/api/people', { body, headers })),
        (room) => void navigate(`/crew/people/${room.person.id}`),
        { affects: touches.people },
    );
    return (
        <FormDialog
            title="Enter somebody"
            wide
            action={`Enter ${as.name || 'them'}`}
            ready={as.name !== '' && as.stamp !== '' && login !== ''}
            send={send}
            onSend={() => send.mutate({ ...as, ...given, login })}
            onClose={onClose}
        >
            <PersonFields as={as} choices={choices} set={(part) => setAs({ ...as, ...part })} />
            <FirstSecrets login={login} onLogin={setLogin} given={given} onGiven={setGiven} />
        </FormDialog>
    );
}
