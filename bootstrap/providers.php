<?php

return [App\Providers\MetrumServiceProvider::class];
