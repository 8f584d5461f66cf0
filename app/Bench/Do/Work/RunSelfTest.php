<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\SelfTest;
use Jorvel\Core\Bench\Verdict;

/** A built-in test: what its screens show, the result and the code of each channel; the channels must agree. */
final readonly class RunSelfTest implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['result'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $screens = $wrong = [];
        foreach ($spec['screens'] ?? [] as $s) {
            $answer = $in->entries["screen.{$s['id']}"] ?? '';
            if ($answer !== 'yes' && $answer !== 'no') {
                throw Refused::because("Say whether the screen shows it: {$s['title']}. Nothing was saved.");
            }
            $screens[$s['id']] = $answer === 'yes';
            $wrong = $answer === 'yes' ? $wrong : [...$wrong, $s['title']];
        }
        $said = [];
        foreach ($spec['channels'] as $channel) {
            $said[$channel] = trim($in->entries["channel.{$channel}"] ?? '');
            if ($said[$channel] === '') {
                throw Refused::because(
                    "Enter the result of channel {$channel}: passed, or its code. Nothing was saved.",
                );
            }
        }
        $is = SelfTest::of($spec['channels'], $said, $screens);
        $result = [
            'codes' => $is->codes, 'screens' => $screens, 'agree' => $is->agree, 'verdict' => $is->verdict->value,
            'said' => self::said($is, $spec['codes'] ?? [], $wrong),
        ];
        $writes = [
            static fn() => $step->fill(['result' => $result])->save(),
            fn() => $this->records->write($by, 'step.selftest', "card:{$step->card_id}", [
                'step' => $step->no, ...$result,
            ]),
        ];

        return $is->verdict === Verdict::Pass
            ? Worked::done($result)
            : Worked::short($result, Verdict::Fail, ...$writes);
    }

    /**
     * @param list<array{code: string, says: string}> $known
     * @param list<string> $wrong titles of screens that do not show what they should
     */
    private static function said(SelfTest $is, array $known, array $wrong): string
    {
        $says = array_column($known, 'says', 'code');
        $parts = [];
        foreach ($is->codes as $channel => $code) {
            $parts[] = "{$channel} ".($code === null
                ? 'passed'
                : "code {$code}: ".($says[$code] ?? 'not on the list of the approved data: '
                    .'ask the type\'s support desk'));
        }

        return implode('; ', [
            ...$parts,
            ...$is->agree ? [] : ['the channels do not agree'],
            ...$wrong === [] ? [] : ['not shown: '.Words::list($wrong)],
        ]);
    }
}
