<x-next-thing :challenge="$challenge" :record="$record" here="runs.show" />
