<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A photograph of an entry, as this server encoded it: without whatever else came with the file.
 *
 * @property string $entry_id
 * @property int $width
 * @property int $height
 */
final class Picture extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'entry_id';

    protected $keyType = 'string';

    protected $fillable = ['entry_id', 'width', 'height'];

    protected $hidden = ['jpeg'];

    protected $casts = ['width' => 'integer', 'height' => 'integer'];
}
