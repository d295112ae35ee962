<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Device;
use App\Models\User;
use Illuminate\Http\Request;

/** Who does something, and at which browser: the educator, or a device that joined. */
final readonly class Actor
{
    private function __construct(
        public User|Device $who,
        public ?string $seat,
    ) {}

    public static function of(Request $request): self
    {
        $who = $request->user();
        if (!$who instanceof User && !$who instanceof Device) {
            throw new \LogicException('Only who is let in does anything.');
        }
        $session = $who instanceof User ? $request->cookies->get((string) config('session.cookie')) : null;

        return new self($who, is_string($session) ? substr(hash('sha256', "seat|{$session}"), 0, 32) : null);
    }

    /** Somebody at no browser: a command, a seeder, a test. */
    public static function at(User|Device $who): self
    {
        return new self($who, null);
    }

    /** @return array{user_id: int|null, device_id: string|null, seat: string|null} the columns that say who */
    public function columns(): array
    {
        return [
            'user_id' => $this->who instanceof User ? $this->who->id : null,
            'device_id' => $this->who instanceof Device ? $this->who->id : null,
            'seat' => $this->seat,
        ];
    }
}
