<?php

declare(strict_types=1);

namespace Rheacid\Rights;

use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\SignedInBy;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\RunState;
use Rheacid\Models\Site;

/** Who may do what: the one place that routes, actions and screens ask. */
final class Rights
{
    public const CORRECT = 'correct';
    public const READ_ACCESS = 'read-access';
    public const WRITE_IN = 'write-in';
    public const TAKE_OVER = 'take-over';
    public const READ_UPLOAD = 'read-upload';

    public static function define(): void
    {
        foreach (Right::cases() as $right) {
            Gate::define(
                $right->value,
                static fn(Person $person): Response => self::isSite($person) ? Response::allow() : self::answer($person, $right),
            );
        }
        // A checker corrects own measurements; a lead any.
        Gate::define(
            self::CORRECT,
            static fn(Person $person, Measurement $measurement): bool => self::answer($person, Right::Lead)->allowed()
                || ($person->may(Right::Record) && $measurement->person_id === $person->id),
        );
        Gate::define(
            self::READ_ACCESS,
            static fn(Person $person): Response => self::answer(
                $person,
                $person->role === Role::Auditor ? null : Right::Lead,
                'Only leads and auditors can read this.',
            ),
        );
        Gate::define(
            self::WRITE_IN,
            static fn(Person $person, CalibrationRun|MeasurementDraft $work): bool => $person->may(Right::Record)
                && self::isOpen($work)
                && $work->holder_id === $person->id,
        );
        Gate::define(
            self::TAKE_OVER,
            static fn(Person $person, CalibrationRun|MeasurementDraft $work): bool => $person->may(Right::Record)
                && self::isOpen($work)
                && $work->holder_id !== $person->id,
        );
        Gate::define(
            self::READ_UPLOAD,
            static fn(Person $person, LogUpload $upload): Response => $upload->person_id === $person->id
                ? Response::allow()
                : Response::denyAsNotFound(),
        );
    }

    /** @param Right|null $right null for what an auditor's role alone lets */
    private static function answer(Person $person, ?Right $right, ?string $refusal = null): Response
    {
        $why = match (true) {
            !$person->enabled, $right !== null && !$person->may($right) => $refusal ?? $right?->refusal(),
            $right !== Right::Record => SignedInBy::lacks($person),
            default => null,
        };

        return $why === null ? Response::allow() : Response::deny($why);
    }

    private static function isOpen(CalibrationRun|MeasurementDraft $work): bool
    {
        return $work instanceof CalibrationRun ? $work->state === RunState::Open : $work->isOpen();
    }

    /** The site itself does what its scheduler, an upgrade or its founding asks. */
    private static function isSite(Person $person): bool
    {
        return $person->role === null && Site::current()?->person_id === $person->id;
    }
}
