<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Car\Part\PartTrait;

/**
 * A part that an educator added to the catalogue for one challenge.
 *
 * @property int $id
 * @property PartKind $kind
 * @property string $name
 * @property array<string, float> $values
 * @property string $origin
 * @property list<string> $traits
 * @property ChassisForm|null $form of a chassis
 */
final class OwnPart extends Model
{
    /** Where its values come from, in place of a source; the word for it stands in lang/. */
    public const ORIGIN = 'own';

    protected $fillable = ['kind', 'name', 'values', 'traits', 'origin', 'form'];

    protected $casts = ['kind' => PartKind::class, 'values' => 'array', 'traits' => 'array', 'form' => ChassisForm::class];

    /** @return Builder<self> of challenges whose plans are shared with a school of this educator's */
    public static function sharedWith(User $user): Builder
    {
        return self::query()->whereIn('challenge_id', DB::table('school_plans')->select('school_plans.challenge_id')
            ->join('school_members', 'school_members.school_id', '=', 'school_plans.school_id')
            ->join('challenges', 'challenges.id', '=', 'school_plans.challenge_id')
            ->where('school_members.user_id', $user->id)->whereNull('challenges.deleted_at'));
    }

    public function toCore(): Part
    {
        return new Part(
            $this->kind,
            $this->name,
            array_map(floatval(...), $this->values),
            $this->origin,
            traits: array_map(PartTrait::from(...), $this->traits),
            form: $this->form ?? ChassisForm::Board,
        );
    }
}
