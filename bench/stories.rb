# frozen_string_literal: true

require_relative "harness"
require_relative "../spec/support/stories"

# Random stories against the caps law (docs/dating.md): how many break it, and what one costs. Goal: none of 50,000.
count = Integer(ENV.fetch("STORIES", "50000"), 10)
seed = Integer(ENV.fetch("SEED", Random.new_seed.to_s[0, 6]), 10)
stories = Stories.new(Random.new(seed))
catalog = NutShelf::Boot::Reference.catalog
today = Date.new(2026, 11, 24)
policy = NutShelf::Core::Policy.new
breaches = []
told = Array.new(count) { stories.story }
spent =
  Harness.time do
    told.each do |story|
      latest = CapsLaw.new(story, catalog).latest or next
      dating = NutShelf::Core::Judge.date(story, catalog: catalog, policy: policy, today: today)
      late =
        dating.state != :stop && !dating.unknown &&
        (latest == CapsLaw::NEVER || (dating.usable_until && dating.usable_until > latest))
      breaches << story if late
    end
  end
breaches.first(3).each do |story|
  warn "#{story.food.key} #{story.situation} #{story.events.map do |event|
    [event.kind, event.on.to_s, event.place&.kind].join(" ")
  end}"
end
Harness.report("stories", seed: seed, stories: count, breaches: breaches.size, ms_per_story: (spent / count).round(4))
exit(breaches.empty? ? 0 : 1)
