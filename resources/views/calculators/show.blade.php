<x-house :title="$calculator->title()" room="Measure">
    @if ($batch)<p class="what">For <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a></p>@endif
    @if ($answer === null && $problems === [])<p class="what">Type the numbers. Grey values are examples.</p>@endif
    @if ($problems['*'] ?? null)<p class="verdict answer"><x-state is="care">Please correct.</x-state> <span>{{ $problems['*'] }}</span></p>@endif
    @if ($answer)
        @if ($answer->warning)<p class="verdict answer"><x-state is="care">Caution.</x-state> <span>{{ $answer->warning }}</span></p>@endif
        <div class="big"><span class="n">{{ $answer->headline }}</span></div>
        <p class="soft">{{ $answer->formula }}</p>
        @if ($figure)<x-trial-curve :figure="$figure" />@endif
        @foreach ($answer->notes as $note)<p>{{ $note }}</p>@endforeach
    @endif
    <form id="sum" method="get" action="{{ route('calculators.show', $calculator) }}">
        @if ($batch)<input type="hidden" name="batch" value="{{ $batch->id }}">@endif
        <div class="fields">
            @foreach ($calculator->fields() as $field)
                @php($wrong = $problems[$field->name] ?? null)
                <div @class(['wide' => $field->isTable])>
                    <label class="form-label" for="f-{{ $field->name }}">{{ $field->label }}</label>
                    @if ($field->isTable)<textarea class="form-control" id="f-{{ $field->name }}" name="{{ $field->name }}" rows="5"
                        placeholder="{{ $field->example }}" aria-describedby="f-{{ $field->name }}-help" @if ($wrong) aria-invalid="true"
                        @endif>{{ $values[$field->name] }}</textarea>
                    @elseif ($field->options)<select class="form-select" id="f-{{ $field->name }}" name="{{ $field->name }}"
                        aria-describedby="f-{{ $field->name }}-help">@foreach ($field->options as $value => $words)
                        <option value="{{ $value }}" @selected($values[$field->name] === $value)>{{ $words }}</option>@endforeach</select>
                    @else<input class="form-control" id="f-{{ $field->name }}" name="{{ $field->name }}" value="{{ $values[$field->name] }}"
                        placeholder="{{ $field->example }}" @if ($field->options === null) inputmode="decimal" @endif autocomplete="off"
                        aria-describedby="f-{{ $field->name }}-help" @if ($wrong) aria-invalid="true" @endif>@endif
                    <div id="f-{{ $field->name }}-help">@if ($wrong)<p class="problem">{{ $wrong }}</p>@endif @if ($field->help)<div class="form-text">
                        {{ $field->help }}</div>@endif</div>
                </div>
            @endforeach
        </div>
    </form>
    <x-slot:act>
        <a href="{{ route('calculators', $batch ? ['batch' => $batch->id] : []) }}">All calculators</a>
        @if ($answer?->plan && $batch && $batch->state()->isLive() && Gate::allows('record'))
            <form method="post" action="{{ route('batches.add', $batch) }}"><x-form-id /><input type="hidden" name="what" value="{{ $answer->plan['what'] }}">
                <input type="hidden" name="amount" value="{{ $answer->plan['amount'] }}"><input type="hidden" name="unit" value="{{ $answer->plan['unit'] }}">
                
                @php($amount = Rheacid\Core\Numbers::plain($answer->plan['amount']))
                <button class="do quiet">Plan addition: {{ $amount }} {{ $answer->plan['unit'] }} to {{ $batch->code }}</button></form>
        @endif
        <button class="do" form="sum" data-primary>Calculate <kbd>Enter</kbd></button>
    </x-slot>
    <x-slot:evidence>
        <h2>Where it is valid</h2>
        <p>{{ $calculator->limits() }}</p>
        @if ($calculator->caution())<p class="caution">{{ $calculator->caution() }}</p>@endif
    </x-slot>
</x-house>
