<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Finding;

/** A photo of a finding. */
final class PhotoRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', Finding::findOrFail((int) $this->route('id'))->card_id);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'photo' => 'required|file|max:8192',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::says('The finding itself is saved.');
    }

    /**
     * @param string $else what is true of the rest when a photo is refused
     *
     * @return array<string, string>
     */
    public static function says(string $else): array
    {
        $most = (string) ini_get('upload_max_filesize');

        return [
            'photo.uploaded' => "The photo did not arrive whole: this server takes at most {$most} at once. Take it "
                ."smaller. {$else}",
            'photo.max' => "The photo is larger than 8 MB. Take it smaller. {$else}",
        ];
    }
}
