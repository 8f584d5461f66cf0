<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Show\View\ChangeView;
use App\Shared\Refused;
use Illuminate\Support\Collection;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Library\RevisionReach;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A manual's revision as a file (core/schema/revision.json): its passages, and new methods for card templates. */
final readonly class RevisionFile
{
    /**
     * @param list<array{section: string, title: string, text: string}> $passages
     * @param list<array{of: string, method: string, steps: list<array<string, mixed>>}> $methods
     * @param Collection<int, CardTemplate> $templates that cite the manual
     */
    private function __construct(
        public Manual $manual,
        public int $revision,
        public string $issued,
        public string $summary,
        public array $passages,
        public array $methods,
        public Collection $templates,
    ) {}

    /** @throws Refused naming the place of what is wrong */
    public static function read(string $text): self
    {
        try {
            $data = json_decode($text, false, 64, JSON_THROW_ON_ERROR);
            Schema::check('revision', $data);
            Day::parse($data->issued);
        } catch (\JsonException) {
            throw Refused::file([['line' => 'file', 'message' => 'is not JSON']], 'item');
        } catch (InputError $e) {
            throw Refused::file(
                [['line' => $e->path === '' ? 'issued' : $e->path, 'message' => $e->getMessage()]],
                'item',
            );
        }
        $all = json_decode($text, true);
        $manual = Manual::with('revisions.passages')->firstWhere('code', $all['manual']) ?? throw Refused::file(
            [['line' => 'manual', 'message' => "there is no manual {$all['manual']}"]],
            'item',
        );
        $templates = CardTemplate::where('manual_id', $manual->id)->orderBy('code')->get();
        $bad = self::wrong($manual, $templates, $all);
        if ($bad !== []) {
            throw Refused::file($bad, 'item');
        }

        return new self(
            $manual,
            $all['revision'],
            $all['issued'],
            $all['summary'],
            $all['passages'],
            $all['methods'] ?? [],
            $templates,
        );
    }

    /**
     * @param Collection<int, CardTemplate> $templates
     * @param array<string, mixed> $all
     *
     * @return list<array{line: string, message: string}>
     */
    private static function wrong(Manual $manual, Collection $templates, array $all): array
    {
        $bad = [];
        if ($all['revision'] <= $manual->revision) {
            $bad[] = ['line' => 'revision', 'message' => "{$manual->code} is at revision {$manual->revision} already"];
        }
        $seen = [];
        foreach ($all['passages'] as $i => $p) {
            if (isset($seen[$p['section']])) {
                $bad[] = ['line' => "passages.{$i}.section", 'message' => "\"{$p['section']}\" is used twice"];
            }
            $seen[$p['section']] = true;
        }
        foreach ($all['methods'] ?? [] as $i => $m) {
            if (! $templates->contains('code', $m['of'])) {
                $bad[] = [
                    'line' => "methods.{$i}.of",
                    'message' => "no card template {$m['of']} cites {$manual->code}",
                ];
            }
        }

        return $bad;
    }

    /** @return Collection<int, CardTemplate> whose passage it changes, or that it brings a method for */
    public function touched(): Collection
    {
        $changed = array_values(array_map(
            static fn(array $p): string => $p['section'],
            array_filter($this->passages, fn(array $p): bool
                => $this->manual->passage($this->manual->revision, $p['section'])?->text !== $p['text']),
        ));
        $methods = array_column($this->methods, 'of');

        return $this->templates->filter(
            static fn(CardTemplate $t): bool => RevisionReach::touches($t->section, $changed)
                || in_array($t->code, $methods, true),
        )->values();
    }

    /** @return list<ChangeView> passages that are new, changed or withdrawn, and methods */
    public function changes(): array
    {
        $changes = [];
        foreach ($this->passages as $p) {
            $old = $this->manual->passage($this->manual->revision, $p['section']);
            if ($old === null || $old->text !== $p['text']) {
                $changes[] = new ChangeView(
                    "{$p['section']} {$p['title']}",
                    $old === null ? 'new passage' : ($p['text'] === '' ? 'withdrawn' : 'changed'),
                    $old->text ?? '',
                    $p['text'],
                );
            }
        }
        foreach ($this->methods as $m) {
            $changes[] = new ChangeView($m['of'], 'new method', '', "{$m['method']}, ".count($m['steps']).' steps');
        }

        return $changes;
    }
}
