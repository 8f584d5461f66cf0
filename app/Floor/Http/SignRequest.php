<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A signature on a card: stamp and PIN, entered again. */
final class SignRequest extends CardRequest
{
    public const SAYS = [
        'spent' => 'hours that it took; as clocked where absent, or as planned',
        'counted' => 'what came back, by loan',
    ];

    public function authorize(): bool
    {
        return $this->mayOnCard(
            str_ends_with($this->path(), '/inspect') ? 'inspect' : 'work',
            (int) $this->route('id'),
        );
    }

    /** @return list<string> what the inspector looked at */
    public function covers(): array
    {
        return array_values(array_map(strval(...), $this->array('covers')));
    }

    /** @return array<array-key, int> what came back, by loan */
    public function counted(): array
    {
        return array_map(intval(...), $this->array('counted'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            ...self::SIGNATURE,
            'covers' => 'sometimes|list',
            'covers.*' => 'string|max:80',
            'counted' => 'sometimes|array',
            'counted.*' => 'integer|min:0|max:10000',
            'spent' => 'sometimes|nullable|numeric|gt:0|max:1000',
        ];
    }
}
