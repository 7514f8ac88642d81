{{-- The form's own number, by which it is recorded once however often it is sent. --}}
@csrf
<input type="hidden" name="form" value="{{ Illuminate\Support\Str::uuid() }}">
