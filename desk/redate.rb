# frozen_string_literal: true

require_relative "../core/dating/judge"
require_relative "../store/places"

module NutShelf
  module Desk
    # Computes a stack's dates from what is known of it; they are stored with the act that changed them.
    class Redate
      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @param lot [Hash] facts of the stack as the store keeps them
      # @return [Core::Dating]
      def judge(lot) = Core::Judge.date(story(lot), catalog: @room.catalog, policy: @room.policy, today: @room.today)

      # @return [Hash] the columns to store
      def columns(lot)
        dating = judge(lot)
        { **dating.to_h.slice(:quality_until, :safety_until, :ready_on, :usable_until, :stopped), basis: dating.basis.to_s, steps: dating.steps,
                                                                                                  flags: dating.flags.map { |flag| flag.transform_keys(&:to_s) }, frozen: frozen?(lot) }
      end

      private

      def story(lot)
        Core::Story.new(food: @room.food(lot[:food_id]), situation: lot[:situation], acquired_on: lot[:acquired_on], made_on: lot[:made_on],
                        printed_on: lot[:printed_on], printed_kind: lot[:printed_kind]&.to_sym, place: standing(lot[:start_place_id]),
                        events: lot[:history].map { |event| happened(event) }, quarantined: lot[:quarantined] == true, quarantine_reason: lot[:quarantine_reason],
                        leftover_days: lot[:leftover_days], method: lot[:method], care_until: lot[:care_until], care_words: lot[:care_words])
      end

      def happened(event)
        event = event.transform_keys(&:to_s)
        Core::Event.new(kind: event["kind"].to_sym, on: Date.iso8601(event["on"]), place: event["place_id"] && standing(event["place_id"]),
                        result: event["result"]&.to_sym, method: event["method"], name: event["name"], quality_until: day(event["quality_until"]), safety_until: day(event["safety_until"]))
      end

      def day(text) = text && Date.iso8601(text)

      def standing(id) = Store::Places.standing(@room.place(id))

      def frozen?(lot) = @room.place(lot[:place_id])[:kind] == "freezer"
    end
  end
end
