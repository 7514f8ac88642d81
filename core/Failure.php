<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Everything the core refuses to compute. The message says what was seen and what is accepted, for the person at the bench. */
interface Failure extends \Throwable {}
