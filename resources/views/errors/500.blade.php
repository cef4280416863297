@include('errors.page', ['title' => 'Something went wrong.', 'text' => 'It was noted. What you had saved is safe, the plan is as it was; try again in a moment.'])
