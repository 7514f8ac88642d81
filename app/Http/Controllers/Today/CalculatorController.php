<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Today;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\Calculators\Calculator;
use Rheacid\Calculators\Typed;
use Rheacid\Core\Failure;
use Rheacid\Queries\Batches\Named;
use Rheacid\Records\Refused;
use Rheacid\View\Figures\TrialCurve;

/** Sums around the measuring, by plain addresses; what they find can be planned as an addition to a batch. */
final class CalculatorController
{
    public function index(Request $request): View
    {
        return view('calculators.index', ['batch' => Named::byNumber($request->query('batch'))]);
    }

    public function show(Request $request, Calculator $calculator): View
    {
        [$typed, $values, $problems] = Typed::read($calculator->fields(), $request->query());
        $answer = null;
        try {
            $answer = $typed === null ? null : $calculator->work($typed);
        } catch (Refused $refused) {
            $problems[$refused->field() ?? '*'] = $refused->getMessage();
        } catch (Failure $failure) {
            $problems['*'] = $failure->getMessage();
        }

        return view('calculators.show', [
            'calculator' => $calculator,
            'values' => $values,
            'problems' => $problems,
            'answer' => $answer,
            'figure'
                => $answer === null || $answer->curve === [] || $answer->point === null
                    ? null
                    : new TrialCurve($answer->curve, $answer->point),
            'batch' => Named::byNumber($request->query('batch')),
        ]);
    }
}
