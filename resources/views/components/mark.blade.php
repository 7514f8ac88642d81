<svg viewBox="0 0 32 32" aria-hidden="true"><path d="M4 24h24M8 24v-4M16 24v-6M24 24v-4"/><path class="plumb" d="M19 24V8"/>
    <circle class="plumb" cx="19" cy="7" r="2.6"/></svg>
