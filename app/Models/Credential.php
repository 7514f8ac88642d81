<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** How a person signs in. No record: it is never sealed, exported or hashed into the key of a form. */
final class Credential extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'person_id';

    protected $guarded = [];

    protected $hidden = ['passphrase', 'pin', 'email', 'code_secret', 'code_step'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** Whether signing in asks for an authenticator code too. */
    public function hasCode(): bool
    {
        return $this->code_secret !== null || $this->isCodeRemoved();
    }

    /** It could not be read after the records were restored from a backup: a recovery code lets in, and it is set up again. */
    public function isCodeRemoved(): bool
    {
        return $this->code_removed_at !== null;
    }
}
