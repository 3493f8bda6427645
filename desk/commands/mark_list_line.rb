# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"
require_relative "../shopping/ticks"

module NutShelf
  module Desk
    # Ticks a line of the list, takes the tick back, or strikes the line off. Whoever of two people comes later, and
    # however late: what somebody has in the basket stays there, and two who ticked the same line are asked about it
    # when it is put away.
    class MarkListLine < Command
      private

      # @param input [Hash] :ref, :status ("ticked", "open", "removed")
      def perform(input)
        @line = house.shopping.line(input[:ref])
        raise Refusal.of(:put_away_already, food: @line.text) if @line.status == "away"

        changes = { "ticked" => :tick, "open" => :untick, "removed" => :strike }.fetch(input[:status])
        changes = send(changes)
        house.shopping.change_line(@line.id, changes) if changes.any?
        { ref: @line.ref, status: changes.fetch(:status, @line.status), summary: summary(input[:status]), **said }
      end

      def tick = Ticks.add(@line, work)

      def untick
        rest = others
        { status: rest.empty? ? "open" : "ticked", ticks: rest }
      end

      # A tick wins over a stroke.
      def strike
        return { status: "removed", ticks: [] } if others.empty?

        work.unsettled << "#{others.map { |one| one["name"] }.join(" and ")} has it in the basket: it stays."
        {}
      end

      def others = Ticks.others(@line, work)

      def summary(asked)
        { "ticked" => "#{@line.text} is in the basket.", "open" => "#{@line.text} is on the list again.",
          "removed" => "#{@line.text} is off the list." }.fetch(asked)
      end

      def said = work.unsettled.empty? ? {} : { unsettled: work.unsettled }
    end
  end
end
