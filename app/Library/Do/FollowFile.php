<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Model\AircraftType;
use App\Library\Model\FollowRule;
use App\Shared\JsonFile;
use App\Shared\Refused;
use Jorvel\Core\Shared\InputError;

/** Rules of what follows as a file, in and out: `{type, rules: […]}`, each as in core/schema/follows.json. */
final readonly class FollowFile
{
    /** @param array<string, \stdClass> $rules by code */
    private function __construct(public AircraftType $type, public array $rules) {}

    /** Every rule of a type that is in force, to be read again by {@see read()}. */
    public static function json(AircraftType $type): string
    {
        return json_encode(
            [
                'type' => $type->code,
                'rules' => FollowRule::inForce($type->id)->get()
                    ->map(static fn(FollowRule $r): \stdClass => $r->object())->all(),
            ],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /** @throws Refused with the first fault of every rule */
    public static function read(string $text): self
    {
        $data = JsonFile::read($text);
        if (! is_object($data) || ! is_string($data->type ?? null) || ! is_array($data->rules ?? null)) {
            throw Refused::lines('The file is no set of rules. Nothing was changed.', [
                ['line' => 'file', 'message' => 'must be an object with "type" and a list "rules"'],
            ]);
        }
        $type = AircraftType::firstWhere('code', $data->type) ?? throw Refused::lines(
            'The rules are for a type that is not here. Nothing was changed.',
            [['line' => 'type', 'message' => "no aircraft type \"{$data->type}\""]],
        );
        $bad = $rules = [];
        foreach ($data->rules as $i => $body) {
            $at = is_string($body->code ?? null) ? $body->code : 'rule '.($i + 1);
            try {
                $rule = is_object($body)
                    ? FollowRules::check($type, $body)
                    : throw InputError::at('', 'must be an object');
                if (isset($rules[$rule->code])) {
                    throw InputError::usedTwice('code', $rule->code);
                }
                $rules[$rule->code] = $body;
            } catch (InputError $e) {
                $bad[] = ['line' => $e->path === '' ? $at : "{$at}, {$e->path}", 'message' => $e->getMessage()];
            }
        }
        if ($rules === [] || $bad !== []) {
            throw Refused::file($bad === [] ? [['line' => 'file', 'message' => 'has no rule']] : $bad, 'rule');
        }

        return new self($type, $rules);
    }
}
