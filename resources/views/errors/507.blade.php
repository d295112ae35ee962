@include('errors.page', ['code' => 507])
