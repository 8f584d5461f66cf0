<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Do\TemplateFile;
use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A card as far as it is written. Its faults are told by {@see TemplateFile}, each at its place. */
final class WriteCardRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'body' => 'required|array|max:40',
            'note' => 'sometimes|nullable|string|max:200',
            'version' => 'sometimes|nullable|integer|min:1',
        ];
    }

    /**
     * The card as it was sent: an empty text is one, and no blank at its end is lost while somebody types.
     *
     * @return array<string, mixed>
     */
    public function body(): array
    {
        $sent = json_decode($this->getContent(), true);

        return is_array($sent['body'] ?? null) ? $sent['body'] : $this->array('body');
    }
}
