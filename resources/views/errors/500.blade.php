@include('errors.plain', ['title' => 'Something went wrong',
    'message' => 'This is an error in Rheacid; it was logged. Nothing was partly recorded. Go back and send the form again: it is recorded only once.',
    'number' => Rheacid\Http\Failures::number()])
