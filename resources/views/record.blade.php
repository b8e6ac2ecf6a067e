<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $record['name'] }}</title>
    <style>
        body { font: 16px/1.5 Georgia, serif; max-width: 46rem; margin: 2rem auto; padding: 0 1rem; color: #20292b; background: #fff; }
        h2 { border-bottom: 1px solid #d8d1c1; margin-top: 2rem; }
        table { border-collapse: collapse; width: 100%; }
        td { vertical-align: top; border-bottom: 1px solid #d8d1c1; padding: .2rem .6rem .2rem 0; }
    </style>
</head>
<body>
    <h1>{{ $record['name'] }}</h1>
    <p>{{ $say('kept.told') }}</p>
    @foreach (['groups', 'classes', 'marks', 'at_home', 'questions', 'considerations', 'address', 'links', 'letters', 'mails'] as $part)
        <h2>{{ $say("kept.part.$part") }}</h2>
        @if ($record[$part] === [])
            <p>{{ $say('kept.none') }}</p>
        @else
            <table>
                @foreach ($record[$part] as $row)
                    <tr>
                        @foreach ($row as $name => $value)
                            @if ($name === 'did')
                                <td>{{ implode('; ', array_map(fn (array $one): string => $one['of'].' ('.$say("kept.was.{$one['what']}").(isset($one['side']) ? ', '.$say("side.{$one['side']}") : '').')', $value)) }}</td>
                            @elseif (is_bool($value))
                                @if ($value)
                                    <td>{{ $say("kept.is.$name") }}</td>
                                @endif
                            @elseif ($value !== null)
                                <td>{{ match ($name) { 'side' => $say("side.$value"), 'seen' => $say("kept.seen.$value"), 'what' => $say("consideration.$value"), 'minutes' => "$value min", 'size' => $say("kept.size.$value"), 'ended' => $say('kept.ended', at: $value), 'until' => $say('kept.until', at: $value), 'sent' => $say('kept.sent', at: $value), 'devices' => $say('kept.devices', count: $value), default => $value } }}</td>
                            @endif
                        @endforeach
                    </tr>
                @endforeach
            </table>
        @endif
    @endforeach
</body>
</html>
