<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Floor\Do\SafingRegister;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Floor\StepProgress;

/**
 * Devices that stay on under a deferral: the register says whose they are, and the step that was to take each off goes.
 */
final readonly class CarryDevices
{
    public function __construct(private Clock $clock, private Records $records, private SafingRegister $register) {}

    /**
     * @param list<int> $ids
     *
     * @return list<SafingDevice>
     *
     * @throws Refused for one that is not on this aircraft, or is carried already
     */
    public function ask(Finding $finding, array $ids): array
    {
        $fitted = $this->register->of($finding->aircraft)->keyBy('id');

        return array_map(static function (int $id) use ($fitted, $finding): SafingDevice {
            $device = $fitted->get($id) ?? throw Refused::because(
                "One of the devices is no longer on {$finding->aircraft->mark}. Look at its register; nothing was "
                    .'deferred.',
            );

            return $device->carried_by === null ? $device : throw Refused::because(
                "{$device->kind}, {$device->place}, is carried by {$device->carrier?->number} already. Nothing was "
                    .'deferred.',
            );
        }, array_values(array_unique($ids)));
    }

    /** @param list<SafingDevice> $devices */
    public function carry(Person $by, Finding $finding, array $devices): void
    {
        if ($devices === []) {
            return;
        }
        $removers = $this->register->removers(SafingDevice::with('card')->findMany(array_column($devices, 'id')));
        foreach ($devices as $device) {
            $device->update(['carried_by' => $finding->id]);
            $remover = $removers[$device->id] ?? null;
            if ($remover !== null && $remover->state === Step::OPEN) {
                $why = "Stays on: carried by {$finding->number} until it is closed";
                Step::whereKey($remover->id)->update([
                    'state' => StepProgress::NotApplicable, 'result' => json_encode(['why' => $why]),
                    'done_by' => $by->id, 'done_at' => (string) $this->clock->now(),
                ]);
                Card::whereKey($remover->card_id)->increment('version');
            }
            $this->records->write($by, 'safing.carried', "finding:{$finding->id}", [
                'number' => $finding->number, 'device' => "{$device->kind}, {$device->place}",
                'step' => $remover === null ? null : "{$remover->card->number}, step {$remover->no}",
            ]);
        }
    }

    /** What a deferral no longer carries, because it was taken back: each is taken off by whoever plans that. */
    public function letGo(Finding $finding): void
    {
        SafingDevice::where('carried_by', $finding->id)->whereNull('removed_at')->update(['carried_by' => null]);
    }
}
