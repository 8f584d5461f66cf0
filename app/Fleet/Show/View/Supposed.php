<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Changes to be supposed, and, to save them, the fingerprint of what was looked at. */
#[OA\Schema(required: ['changes'], properties: [
    new OA\Property(property: 'base', type: 'string'),
    new OA\Property(property: 'changes', type: 'array', items: new OA\Items(type: 'object', required: ['kind'], properties: [
        new OA\Property(
            property: 'kind',
            type: 'string',
            enum: ['use', 'visit', 'base'],
        ), new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'id', type: 'integer'),
        new OA\Property(property: 'start', type: 'string'), new OA\Property(property: 'end', type: 'string'),
        new OA\Property(property: 'base', type: 'string'),
        new OA\Property(
            property: 'rates',
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        ),
        new OA\Property(
            property: 'week',
            type: 'object',
            nullable: true,
            additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')),
        ),
    ])),
])]
final class Supposed {}
