<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** A value outside the range in which the answer is known. */
interface BeyondRange extends Failure {}
