<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Foundation\Http\FormRequest;

/** What happens to a group's place in the order, as in repair:12. */
final class OrderRequest extends FormRequest
{
    public const ACTS = ['repair', 'ready', 'skip', 'withdraw', 'return'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['do' => ['required', 'string', 'regex:/^(' . implode('|', self::ACTS) . '):\d{1,18}$/']];
    }

    public function act(): string
    {
        return explode(':', $this->string('do')->toString())[0];
    }

    public function group(): Group
    {
        $challenge = $this->route('challenge');
        assert($challenge instanceof Challenge);

        return $challenge->groups()->with('cars.runs')->findOrFail(
            (int) explode(':', $this->string('do')->toString())[1],
        )->setRelation('challenge', $challenge);
    }
}
