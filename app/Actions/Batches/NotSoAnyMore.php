<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

/** The records no longer say what the board nominated: nothing is recorded. */
final class NotSoAnyMore extends \RuntimeException {}
