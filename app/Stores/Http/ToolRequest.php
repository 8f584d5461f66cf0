<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Tool;

/** A new tool with the check it comes with. */
final class ToolRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Tool::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'code' => 'required|string|regex:/^[A-Z0-9][A-Z0-9-]{1,20}$/', 'title' => 'required|string|max:80',
            'kind' => 'required|string|max:40', 'unit' => 'required|string|max:12',
            'resolution' => 'required|numeric|gt:0', 'uncertainty' => 'required|numeric|min:0',
            'low' => 'required|numeric', 'high' => 'required|numeric|gt:low', 'place' => 'required|string|max:80',
            'checked' => 'required|date_format:Y-m-d', 'cal_due' => 'required|date_format:Y-m-d',
            'paper' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.regex' => 'A tool\'s code is of capital letters, digits and hyphens.',
            'high.gt' => 'It reads up to more than it reads from.',
        ];
    }

    /**
     * @return array{
     *   code: string, title: string, kind: string, unit: string, resolution: float, uncertainty: float, low: float,
     *   high: float, place: string,
     * }
     */
    public function fields(): array
    {
        return [
            'code' => $this->string('code')->value(), 'title' => $this->string('title')->value(),
            'kind' => mb_strtolower(trim($this->string('kind')->value())), 'unit' => $this->string('unit')->value(),
            'resolution' => $this->float('resolution'), 'uncertainty' => $this->float('uncertainty'),
            'low' => $this->float('low'), 'high' => $this->float('high'), 'place' => $this->string('place')->value(),
        ];
    }
}
