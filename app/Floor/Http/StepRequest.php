<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\StepInput;

/** An answer to one step; the card's policy is asked once the card is known. */
final class StepRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            'do' => 'required|in:done,start,read,count,compare,call,fit,use,run,run_off,as_found,as_left,stop,'
                .'take_back,again,not_applicable,answer,mark,meet,point,point_back,unit_off,unit_on,unit_back,fill,'
                .'begin,verdict,new_attempt,break_off,watch,order,seen,result,samples,turned',
            'entry' => 'sometimes|nullable|string|max:80',
            'entries' => 'sometimes|array',
            'entries.*' => 'nullable|string|max:2000',
            'tool' => 'sometimes|nullable|string|max:40',
            'note' => 'sometimes|nullable|string|max:500',
        ];
    }

    public function step(): StepInput
    {
        return new StepInput(
            $this->integer('version'),
            $this->string('do')->value(),
            $this->string('entry')->value(),
            array_map(strval(...), $this->array('entries')),
            $this->string('tool')->value(),
            trim($this->string('note')->value()),
        );
    }
}
