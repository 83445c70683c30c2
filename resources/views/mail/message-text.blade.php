{{ $words }}

Read it in Watchpost: {{ new \Illuminate\Support\HtmlString($address) }}
Send me no more mails: {{ new \Illuminate\Support\HtmlString($unsubscribe) }}
