<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** Somebody as they are entered or changed. */
final class PersonRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Person::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $new = $this->route('id') === null;

        return [
            'name' => 'required|string|max:80',
            'stamp' => 'required|string|regex:/^[A-Z0-9-]{2,12}$/',
            'role' => ['required', Rule::enum(Role::class)],
            'base' => 'required|string|exists:bases,name',
            'shift' => 'required|string|exists:shifts,code',
            'weekdays' => 'present|list|max:7',
            'weekdays.*' => 'integer|between:1,7|distinct',
            'trainee' => 'required|boolean',
            'supervisor' => 'nullable|integer|exists:people,id',
            'leaves' => 'nullable|date_format:Y-m-d',
            ...($new ? [
                'login' => 'required|string|regex:/^[a-z0-9._-]{2,40}$/i',
                'password' => 'required|string|min:10|max:200',
                'pin' => 'required|string|regex:/^\d{4,8}$/',
            ] : ['version' => 'required|integer']),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'stamp.regex' => 'A stamp is of 2 to 12 capital letters, digits or hyphens.',
            'login.regex' => 'The name to sign in with is of 2 to 40 letters, digits, dots or hyphens.',
            'pin.regex' => 'A PIN is of 4 to 8 digits.',
            'password.min' => 'A password is of at least 10 characters.',
        ];
    }

    /**
     * @return array{
     *   name: string, stamp: string, role: string, base: string, shift: string, weekdays: list<int>, trainee: bool,
     *   supervisor_id: int|null, leaves: string|null,
     * }
     */
    public function fields(): array
    {
        $weekdays = array_map(intval(...), array_values($this->array('weekdays')));
        sort($weekdays);

        return [
            'name' => trim($this->string('name')->value()), 'stamp' => $this->string('stamp')->value(),
            'role' => $this->string('role')->value(), 'base' => $this->string('base')->value(),
            'shift' => $this->string('shift')->value(), 'weekdays' => $weekdays, 'trainee' => $this->boolean('trainee'),
            'supervisor_id' => $this->filled('supervisor') ? $this->integer('supervisor') : null,
            'leaves' => $this->filled('leaves') ? $this->string('leaves')->value() : null,
        ];
    }
}
