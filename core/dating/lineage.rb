# frozen_string_literal: true

require_relative "judge"
require_relative "part"
require_relative "../value"

module NutShelf
  module Core
    # Dates stacks that came of one another: an event that names earlier stacks takes their dates of that day along.
    class Lineage
      # A stack in a lineage: `name` as its part reads, its `story`, and `from`, the ids its events name, by the event's
      # index. Frozen.
      Member = Value.of(:name, :story, from: {}.freeze)

      # @param members [Hash{Object=>Member}] by id
      # @param catalog [Catalog]
      def initialize(members, catalog:)
        @members = members
        @catalog = catalog
      end

      # @param id [Object]
      # @param policy [Policy]
      # @param today [Date]
      # @return [Dating]
      # @raise [Unknown] for an id nobody has, or a stack that would be made of itself
      def date(id, policy:, today:, within: [])
        raise Unknown, "#{id} is made of itself." if within.include?(id)

        Judge.date(story(id, policy, today, [*within, id]), catalog: @catalog, policy: policy, today: today)
      end

      private

      def member(id) = @members.fetch(id) { raise Unknown, "There is no story #{id.inspect} to take from." }

      def story(id, policy, today, within)
        member = member(id)
        events =
          member.story.events.each_with_index.map do |event, index|
            parts = member.from.fetch(index, []).map { |source| part(source, event.on || today, policy, within) }
            parts.empty? ? event : Event.new(**event.to_h, parts: parts.freeze)
          end
        Story.new(**member.story.to_h, events: events.freeze)
      end

      # What the source was on that day, whatever became of it later.
      def part(id, day, policy, within)
        member = member(id)
        kept = member.story.events.each_index.select { |index| (member.story.events[index].on || day) <= day }
        past = Story.new(**member.story.to_h, events: member.story.events.values_at(*kept).freeze)
        from = kept.each_with_index.to_h { |index, place| [place, member.from.fetch(index, [])] }
        Part.of(
          Lineage.new(
            { **@members, id => Member.new(name: member.name, story: past, from: from) },
            catalog: @catalog
          ).date(id, policy: policy, today: day, within: within),
          member.name
        )
      end
    end
  end
end
