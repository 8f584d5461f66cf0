<?php

declare(strict_types=1);

namespace App\Shared;

use OpenApi\Attributes as OA;

/** The head of the API's own description; the rest stands beside each route and view. */
#[OA\OpenApi(openapi: '3.1.0')]
#[OA\Info(version: '1', title: 'Jorvel')]
final class OpenApi {}
