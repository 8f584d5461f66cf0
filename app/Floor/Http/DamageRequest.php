<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\NewDamage;
use App\Floor\Model\Damage;
use Illuminate\Validation\Rule;
use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Floor\DamageSpot;

/** A damage that is not on the map yet, found at a card. */
final class DamageRequest extends CardRequest
{
    /** Sizes, in millimetres. */
    public const SIZES = [
        'length' => 'required|numeric|gt:0|max:10000',
        'depth' => 'sometimes|nullable|numeric|min:0|max:10000',
        'edge' => 'sometimes|nullable|numeric|min:0|max:10000',
        'fastener' => 'sometimes|nullable|numeric|min:0|max:10000',
    ];

    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(Damage::KINDS)],
            'place' => 'required|string|max:200',
            'spot' => 'required|array:view,x,y',
            'spot.view' => 'required|'.RaiseRequest::SPOT['view'],
            'spot.x' => 'required|'.RaiseRequest::SPOT['x'],
            'spot.y' => 'required|'.RaiseRequest::SPOT['y'],
            ...self::SIZES,
            'limits' => 'sometimes|array:length,depth,edge,fastener',
            'limits.*' => 'nullable|numeric|min:0|max:10000',
            'source' => 'sometimes|nullable|string|max:100',
            'every_fh' => 'sometimes|nullable|numeric|gt:0|max:10000',
            'every_days' => 'sometimes|nullable|integer|min:1|max:3650',
            'another' => 'sometimes|boolean',
        ];
    }

    public function damage(): NewDamage
    {
        $spot = $this->array('spot');

        return new NewDamage(
            $this->string('kind')->value(),
            trim($this->string('place')->value()),
            new DamageSpot((string) $spot['view'], (float) $spot['x'], (float) $spot['y']),
            self::size($this->all()),
            array_map(floatval(...), array_filter($this->array('limits'), static fn(mixed $v): bool => $v !== null)),
            trim($this->string('source')->value()),
            $this->input('every_fh') === null ? null : $this->float('every_fh'),
            $this->input('every_days') === null ? null : $this->integer('every_days'),
            $this->boolean('another'),
        );
    }

    /** @param array<string, mixed> $of what was sent */
    public static function size(array $of): DamageSize
    {
        $at = static fn(string $name): ?float => isset($of[$name]) ? (float) $of[$name] : null;

        return DamageSize::of((float) $of['length'], $at('depth'), $at('edge'), $at('fastener'));
    }
}
