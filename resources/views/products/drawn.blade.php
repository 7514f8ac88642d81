<x-acid-rule :rule="$screen->rule" />
<x-series-chart :figure="$screen->clock" />
