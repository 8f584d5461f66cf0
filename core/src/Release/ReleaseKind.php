<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `release` kind. */
final class ReleaseKind implements Kind
{
    public function name(): string
    {
        return 'release';
    }

    public function compute(Input $in): array
    {
        foreach (['cards', 'findings', 'safing', 'readings'] as $list) {
            $in->uniqueIds($list);
        }
        $readings = [];
        foreach ($in->each(
            'readings',
            static fn(Input $r): array => [$r->string('id'), $r->string('verdict')],
        ) as [$id, $verdict]) {
            $readings[$id] = $verdict;
        }
        $certifier = $in->object('certifier');
        $blockers = Release::blockers(
            $in->each('cards', static fn(Input $c): CardState => new CardState(
                $c->string('id'),
                $c->string('state') === 'closed',
                $c->int('steps_open'),
                $c->bool('critical'),
                $c->strings('performed_by'),
                $c->has('duplicate_by') ? $c->string('duplicate_by') : null,
                $c->strings('recheck_open'),
                $c->bool('revision_current'),
            )),
            $in->each('findings', static fn(Input $f): FindingState => Input::within(
                $f->path(''),
                static fn() => FindingState::of(
                    $f->string('id'),
                    $f->string('state'),
                    $f->has('deferral_valid') ? $f->bool('deferral_valid') : null,
                ),
            )),
            $in->each(
                'safing',
                static fn(Input $s): Safing => new Safing(
                    $s->string('id'),
                    $s->bool('removed'),
                    $s->has('carried_by') ? $s->string('carried_by') : null,
                ),
            ),
            $in->strings('tools_out'),
            $readings,
            new Certifier($certifier->string('id'), $certifier->bool('authority_valid'), $certifier->bool('rated')),
        );

        return ['verdict' => $blockers === [] ? 'ready' : 'blocked', 'blockers' => $blockers];
    }
}
