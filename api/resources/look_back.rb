# frozen_string_literal: true

require_relative "../base"
require_relative "../papers/look_back_sheet"
require_relative "../views/give_away_view"
require_relative "../views/look_back_view"
require_relative "../../desk/acts/answer_advice"
require_relative "../../desk/acts/hand_over"
require_relative "../../exchange/sheet"

module NutShelf
  module Api
    # What became of the food, and where the sums come from.
    class LookBack < Base
      TOPICS = %i[stock plan people list rules].freeze
      USUAL_WEEKS = 8
      MOST_DAYS = 731
      WAYS = Desk::LookingBack::Books::BY.keys.freeze
      BEHIND = [*WAYS, "spent"].freeze
      FILES = [*WAYS, "weeks"].freeze

      get("/") { look(&:call) }

      get("/advice") { look(&:advice) }

      post("/advice") { act(Desk::AnswerAdvice, body_as("AnswerAdvice")) }

      get("/give-away") { view(*TOPICS) { |work| GiveAwayView.new(work).call } }

      post("/give-away") { act_on_stacks(Desk::HandOver, body_as("HandOver")) }

      get("/by/:id") do
        way = way_param
        look { |view| view.by(way) }
      end

      get("/by/:id/behind") do
        way = way_param(BEHIND)
        key = params[:key].to_s
        look { |view| view.behind(way, key) }
      end

      get("/by/:id/file") do
        way = way_param(FILES)
        read_only do |work|
          view = made(work)
          content_type "text/csv", charset: "utf-8"
          attachment "look-back-#{way}.csv"
          sheet = Papers::LookBackSheet.new(view)
          Exchange::Sheet.write(sheet.columns(way), sheet.rows(way))
        end
      end

      helpers do
        def look(&block) = view(*TOPICS) { |work| block.call(made(work)) }

        def made(work)
          from, to = span(work)
          LookBackView.new(work, from: from, to: to)
        end

        # Eight weeks to today where nobody says, this one among them.
        def span(work)
          to = [day_param(:to) || work.today, work.today].min
          from = day_param(:from) || (to - to.cwday + 1 - ((USUAL_WEEKS - 1) * 7))
          return [from, to] if from <= to && (to - from).to_i < MOST_DAYS

          refuse(
            "invalid", "These days cannot be looked back over.", "Begin before the end, at most two years before it.",
            errors: [{ pointer: "/from", detail: "It must lie before the end, at most two years." }]
          )
        end

        def way_param(ways = WAYS)
          way = params[:id].to_s
          ways.include?(way) ? way : refuse("not_found", "There is no such way to add up.", "Look back again.")
        end
      end
    end
  end
end
